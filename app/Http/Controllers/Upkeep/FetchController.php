<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Household\Concerns;
use App\Models\Token;
use App\Upkeep\PlanFile;
use Burrow\Ground\Gathering;
use Burrow\Household\Household;
use Burrow\Upkeep\Tell\HouseMetrics;
use Burrow\Upkeep\Tell\Metrics;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What programs fetch with a token of their own in place of a login: the calendar, and the figures. */
final class FetchController
{
    public function feed(string $token): Response
    {
        return Token::opens(Token::FEED, $token)
            ? response(PlanFile::text(app(Household::class), null), 200, [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Cache-Control' => 'no-store',
            ])
            : response("This is no calendar, or no longer one.\n", 404, [
                'Content-Type' => 'text/plain; charset=utf-8',
            ]);
    }

    public function metrics(Request $request): Response
    {
        if (! Token::opens(Token::METRICS, (string) $request->bearerToken())) {
            return response("A token for figures is wanted.\n", 401, [
                'Content-Type' => 'text/plain; charset=utf-8',
                'WWW-Authenticate' => 'Bearer',
            ]);
        }
        $house = app(Household::class);

        return response(
            (string) HouseMetrics::of($house, Gathering::of(Concerns::all(), $house, true)),
            200,
            ['Content-Type' => Metrics::TYPE, 'Cache-Control' => 'no-store'],
        );
    }
}
