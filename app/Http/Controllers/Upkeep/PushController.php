<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Models\Box;
use App\Upkeep\Taken;
use App\Upkeep\TakeReport;
use Burrow\Upkeep\Report\ReportReader;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\RateLimiter;

/** Where a box sends its report to by itself: no login, but a token of its own, of which only the sum is kept. */
final class PushController
{
    /** Reports of one box in a minute; it sends one a day. */
    private const OFTEN = 12;

    public function __invoke(Request $request, TakeReport $take): Response
    {
        $token = (string) $request->bearerToken();
        if (preg_match('/^[A-Za-z0-9_-]{43}$/D', $token) !== 1) {
            return self::says(401, 'A token of a box is wanted.');
        }
        $box = Box::query()->here()->where('report_token', hash('sha256', $token))->first();
        if ($box === null) {
            return self::says(401, 'This token is none, or no longer one.');
        }
        if (! RateLimiter::attempt("report-{$box->id}", self::OFTEN, fn (): bool => true)) {
            return self::says(429, 'One a day is enough; try again in a minute.');
        }
        if ((int) $request->header('Content-Length', '0') > ReportReader::MOST) {
            return self::says(413, 'A report has at most 256 KiB.');
        }
        $taken = $take->take($box, $request->getContent(), 'pushed');

        return $taken === Taken::None ? self::says(422, $taken->words()) : self::says(200, $taken->words());
    }

    private static function says(int $code, string $text): Response
    {
        return response("{$text}\n", $code, ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
