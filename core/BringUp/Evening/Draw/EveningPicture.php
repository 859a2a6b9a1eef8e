<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening\Draw;

use Burrow\BringUp\Evening\Evening;
use Burrow\BringUp\Evening\Slot;

/**
 * The evening as lanes: one for the hands, one for each thing of which there is one, one a run. Solid is by hand,
 * hatched goes on by itself. Time runs from now at the left to the end at the right.
 */
final readonly class EveningPicture
{
    public const WIDTH = 900.0;

    public const LANE = 56.0;

    private const HEAD = 34.0;

    private const LEFT = 132.0;

    private const RIGHT = 14.0;

    /** A letter of 12.5 px. */
    private const LETTER = 7.0;

    private const NARROWEST = 1.5;

    /** A mark of the clock wants so much room. */
    private const MARK = 62.0;

    /** Minutes between two marks. */
    private const MARKS = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480, 1440];

    /**
     * @param  list<array{name: string, under: string, y: float, bars: list<Bar>}>  $lanes
     * @param  list<array{x: float, label: string}>  $marks
     */
    private function __construct(public float $height, public array $lanes, public array $marks)
    {
    }

    /**
     * @param  list<string>  $runs  in the order of their lanes
     * @param  callable(Slot): string  $title  of a step, for people
     */
    public static function of(Evening $evening, array $runs, callable $title): self
    {
        $scale = (self::WIDTH - self::LEFT - self::RIGHT) / max(60.0, $evening->timetable->finish());
        $x = fn (float $seconds): float => self::LEFT + $seconds * $scale;
        $letters = self::letters($runs);
        $lanes = [['your hands', 'one pair', []]];
        $rows = array_fill_keys($runs, []);
        $held = [];
        foreach ($evening->timetable->slots as $slot) {
            $told = $title($slot);
            if ($slot->task->hands > 0) {
                $rows[$slot->run][] = self::bar('hands', $x($slot->start), $x($slot->handsEnd()), '', $told);
            }
            if ($slot->task->wait > 0) {
                $minutes = max(1, (int) round($slot->task->wait / 60)).' min';
                $rows[$slot->run][] = self::bar(
                    'wait',
                    $x($slot->handsEnd()),
                    $x($slot->end()),
                    $minutes,
                    "{$told}, {$minutes}",
                );
            }
            foreach ($slot->task->holds as $thing) {
                $held[$thing][] = self::bar(
                    'wait',
                    $x($slot->start),
                    $x($slot->end()),
                    $slot->run,
                    "{$slot->run}: {$told}",
                );
            }
        }
        foreach ($evening->stays() as [$run, $from, $to]) {
            $lanes[0][2][] = self::bar('hands', $x($from), $x($to), $letters[$run], $run);
        }
        foreach ($evening->breaks() as [$from, $to]) {
            $lanes[0][2][] = self::bar(
                'free',
                $x($from),
                $x($to),
                'free '.(int) round(($to - $from) / 60).' min',
                'hands free',
            );
        }
        foreach ($held as $thing => $bars) {
            $lanes[] = [$thing, 'one', $bars];
        }
        foreach ($rows as $run => $bars) {
            $lanes[] = [(string) $run, $letters[$run], $bars];
        }
        $drawn = [];
        foreach ($lanes as $at => [$name, $under, $bars]) {
            $drawn[] = [
                'name' => mb_strimwidth($name, 0, 15, '…'),
                'under' => $under,
                'y' => self::HEAD + $at * self::LANE,
                'bars' => $bars,
            ];
        }

        return new self(self::HEAD + count($lanes) * self::LANE + 8, $drawn, self::marks($evening, $scale));
    }

    private static function bar(string $kind, float $from, float $to, string $label, string $told): Bar
    {
        $width = max(self::NARROWEST, $to - $from - 1);
        assert($kind === 'hands' || $kind === 'wait' || $kind === 'free');

        return new Bar($kind, $from, $width, mb_strlen($label) * self::LETTER + 4 <= $width ? $label : '', $told);
    }

    /**
     * One letter a run; more where they begin alike.
     *
     * @param  list<string>  $runs
     * @return array<string, string>
     */
    private static function letters(array $runs): array
    {
        $letters = [];
        foreach ($runs as $run) {
            for ($length = 1; $length < 4; $length++) {
                $short = mb_strtoupper(mb_substr($run, 0, 1)).mb_substr($run, 1, $length - 1);
                if (! in_array($short, $letters, true)) {
                    break;
                }
            }
            $letters[$run] = $short;
        }

        return $letters;
    }

    /** @return list<array{x: float, label: string}> times of the clock, far enough apart */
    private static function marks(Evening $evening, float $scale): array
    {
        $step = self::MARKS[count(self::MARKS) - 1];
        foreach (self::MARKS as $minutes) {
            if ($minutes * 60 * $scale >= self::MARK) {
                $step = $minutes;
                break;
            }
        }
        $now = $evening->now->getTimestamp() + $evening->now->getOffset();
        $marks = [];
        $first = (int) (ceil($now / ($step * 60)) * $step * 60) - $now;
        for ($at = $first; $at <= $evening->timetable->finish() && count($marks) < 40; $at += $step * 60) {
            $x = self::LEFT + $at * $scale;
            if ($x - self::LEFT >= self::MARK && self::WIDTH - self::RIGHT - $x >= 20) {
                $marks[] = ['x' => $x, 'label' => $evening->at((float) $at)->format('H:i')];
            }
        }

        return $marks;
    }
}
