<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Upkeep\ReportInbox;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Where a box sends its report to by itself, where the web server does not ask public/report.php at once. */
final class PushController
{
    public function __invoke(Request $request): Response
    {
        $inbox = new ReportInbox(DB::connection()->getPdo(), now()->toDateTimeImmutable());
        [$code, $says] = $inbox->post(
            (string) $request->header('Authorization'),
            (int) $request->header('Content-Length', '0'),
            fn (int $most): string => substr($request->getContent(), 0, $most),
        );

        return response("{$says}\n", $code, ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
