<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Backup\HouseholdFile;
use Illuminate\Http\Response;

/** The household as a file, for a keeper to take along; in one piece, so that it is masked where all is. */
final class HouseholdFileController
{
    public function __invoke(): Response
    {
        $pieces = iterator_to_array(HouseholdFile::pieces(now()->getTimestamp()), false);

        return response(implode('', $pieces), 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="household-'.now()->format('Y-m-d').'.json"',
        ]);
    }
}
