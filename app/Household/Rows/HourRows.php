<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Household\Told;
use Burrow\Household\Hours;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The rhythm of the house. */
final class HourRows extends HouseRows
{
    private const MOST_HOURS = 200;

    /** @return list<Hours> the rhythm of the house */
    public function hours(): array
    {
        $time = '/^([01]\d|2[0-3]):[0-5]\d$/D';
        $rows = DB::table('hours')
            ->where('network_id', $this->network->id)
            ->orderBy('id')
            ->limit(self::MOST_HOURS)
            ->get();

        return array_values(
            $rows
                ->filter(
                    fn (stdClass $row): bool => preg_match($time, (string) $row->from) === 1 &&
                        preg_match($time, (string) $row->to) === 1,
                )
                ->map(
                    fn (stdClass $row): Hours => new Hours(
                        (int) $row->id,
                        $row->kind === Hours::WINDOW ? Hours::WINDOW : Hours::BUSY,
                        (string) $row->what,
                        array_values(array_intersect(Hours::DAYS, explode(' ', (string) $row->days))),
                        (string) $row->from,
                        (string) $row->to,
                        Told::texts($row->boxes),
                    ),
                )
                ->all(),
        );
    }
}
