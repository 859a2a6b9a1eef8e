<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use DateTimeImmutable;
use DateTimeZone;

/** Stretches of time, in order and without touching one another; in Unix seconds, the end not included. */
final readonly class Spans
{
    private const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** @param  list<array{int, int}>  $spans */
    private function __construct(public array $spans)
    {
    }

    /** @param  list<array{int, int}>  $spans  in any order */
    public static function of(array $spans): self
    {
        usort($spans, fn (array $a, array $b): int => $a <=> $b);
        /** @var list<array{int, int}> $joined */
        $joined = [];
        foreach ($spans as [$from, $to]) {
            $last = array_key_last($joined);
            if ($to <= $from) {
                continue;
            }
            if ($last !== null && $from <= $joined[$last][1]) {
                $joined[$last] = [$joined[$last][0], max($joined[$last][1], $to)];
            } else {
                $joined[] = [$from, $to];
            }
        }

        return new self($joined);
    }

    /**
     * The hours of some days of the week, as the clock on the wall shows them; a window may go over midnight, and
     * on the
     * night the clock is changed it is as long as that night makes it.
     *
     * @param  list<string>  $days  "mon" …; empty for every day
     * @param  string  $from  "22:00"
     * @param  string  $to  "23:30"; the same as or before $from: on the next day
     */
    public static function weekly(
        array $days,
        string $from,
        string $to,
        int $begin,
        int $end,
        DateTimeZone $zone,
    ): self {
        $day = (new DateTimeImmutable("@{$begin}"))->setTimezone($zone)->setTime(0, 0)->modify('-1 day');
        $spans = [];
        [$fromHour, $fromMinute] = array_map(intval(...), explode(':', $from));
        [$toHour, $toMinute] = array_map(intval(...), explode(':', $to));
        for (; $day->getTimestamp() < $end; $day = $day->modify('+1 day')->setTime(0, 0)) {
            if ($days !== [] && ! in_array(self::DAYS[(int) $day->format('N') - 1], $days, true)) {
                continue;
            }
            $ends = [$toHour, $toMinute] <= [$fromHour, $fromMinute] ? $day->modify('+1 day') : $day;
            $spans[] = [
                max($begin, $day->setTime($fromHour, $fromMinute)->getTimestamp()),
                min($end, $ends->setTime($toHour, $toMinute)->getTimestamp()),
            ];
        }

        return self::of($spans);
    }

    public function and(self $other): self
    {
        return self::of([...$this->spans, ...$other->spans]);
    }

    public function without(self $other): self
    {
        $left = [];
        $at = 0;
        foreach ($this->spans as [$from, $to]) {
            while ($at < count($other->spans) && $other->spans[$at][1] <= $from) {
                $at++;
            }
            for ($i = $at; $i < count($other->spans) && $other->spans[$i][0] < $to; $i++) {
                $left[] = [$from, min($to, $other->spans[$i][0])];
                $from = max($from, $other->spans[$i][1]);
            }
            $left[] = [$from, $to];
        }

        return self::of($left);
    }

    /** The earliest moment, not before another, from which so many seconds fit into one stretch; null for never. */
    public function fits(int $notBefore, int $seconds): ?int
    {
        foreach ($this->spans as [$from, $to]) {
            $start = max($from, $notBefore);
            if ($to - $start >= $seconds) {
                return $start;
            }
        }

        return null;
    }

    public function longest(): int
    {
        return $this->spans === []
            ? 0
            : max(array_map(fn (array $span): int => $span[1] - $span[0], $this->spans));
    }
}
