<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Evening\EveningDesk;
use App\Models\Network;
use Burrow\BringUp\Evening\Draw\EveningPicture;
use Burrow\BringUp\Evening\EveningCalendar;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Several runs in one evening: what wants the hands now, and what goes on meanwhile. */
final class EveningController
{
    /** Minutes that a wait may be asked to take longer. */
    private const LONGEST = 120;

    private const USUAL = 5;

    public function show(Request $request, EveningDesk $desk): View
    {
        $by = $request->string('by')->value();
        $wait = $request->string('longer')->value();
        $minutes = min(self::LONGEST, max(1, $request->integer('minutes', self::USUAL)));

        return view('bringup.evening', [
            'desk' => $desk,
            'evening' => $desk->evening,
            'picture' => EveningPicture::of($desk->evening, $desk->names(), $desk->title(...)),
            'by' => $by,
            'wait' => $wait,
            'minutes' => $minutes,
            'longer' => $wait === '' ? null : $desk->longer($wait, $minutes),
            'latest' => preg_match('/^([01]?\d|2[0-3]):[0-5]\d$/D', $by) === 1
                    ? $desk->evening->latestStart(self::next($by, $desk->evening->now))
                    : null,
        ]);
    }

    /** How far it is from the desk to where boxes stand. */
    public function walk(Request $request): RedirectResponse
    {
        $minutes = $request->string('walk')->value();
        $known = preg_match('/^\d{1,2}$/D', $minutes) === 1 && (int) $minutes <= EveningDesk::FARTHEST;
        $known && Network::home()->update(['walk' => (int) $minutes]);

        return redirect()
            ->route('evening')
            ->with(
                'told',
                $known
                    ? 'Kept; the evening is laid out with it.'
                    : 'Whole minutes, up to '.EveningDesk::FARTHEST.'.',
            );
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
