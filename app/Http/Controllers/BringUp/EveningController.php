<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Evening\EveningDesk;
use Burrow\BringUp\Evening\Draw\EveningPicture;
use Burrow\BringUp\Evening\EveningCalendar;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Several runs in one evening: what wants the hands now, and what goes on meanwhile. */
final class EveningController
{
    public function show(Request $request, EveningDesk $desk): View
    {
        $by = $request->string('by')->value();

        return view('bringup.evening', [
            'desk' => $desk,
            'evening' => $desk->evening,
            'picture' => EveningPicture::of($desk->evening, $desk->names(), $desk->title(...)),
            'by' => $by,
            'latest' => preg_match('/^([01]?\d|2[0-3]):[0-5]\d$/D', $by) === 1
                    ? $desk->evening->latestStart(self::next($by, $desk->evening->now))
                    : null,
        ]);
    }

    /** When hands are needed, for the household's calendar. */
    public function calendar(EveningDesk $desk): Response
    {
        return new Response(EveningCalendar::write($desk->evening, $desk->title(...)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="evening.ics"',
        ]);
    }

    /** That time of the clock when it comes next. */
    private static function next(string $clock, DateTimeImmutable $now): DateTimeImmutable
    {
        $time = $now->modify($clock);

        return $time < $now ? $time->modify('+1 day') : $time;
    }
}
