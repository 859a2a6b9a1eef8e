<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

/**
 * One box after another, providers before those who need them, each wholly within its windows, boxes that are to
 * be kept
 * apart in different windows, so that all is over as early as can be; of plans that end together the one in which what
 * is urgent comes first.
 *
 * Up to a dozen boxes every order is weighed, set by set: a set of boxes that is done earlier is never worse, since one
 * can wait (Held and Karp 1962). Beyond, the box that can be over first comes first, the more urgent of two.
 */
final class Solver
{
    private const EXACT = 12;

    /** Boxes that are kept apart are done so many seconds from one another: another evening. */
    public const APART = 12 * 3600;

    /** @var list<DueBox> */
    private array $boxes;

    /** @var list<list<int>> numbers of the boxes that come before each */
    private array $before = [];

    /** @var list<list<int>> numbers of the boxes that each is kept apart from */
    private array $apart = [];

    /**
     * @param  list<DueBox>  $boxes
     * @param  ?string  $last  name of the box that comes last
     */
    public function __construct(array $boxes, ?string $last, private readonly int $now)
    {
        $this->boxes = $boxes;
        $number = [];
        foreach ($boxes as $i => $box) {
            $number[$box->name] = $i;
        }
        foreach ($boxes as $i => $box) {
            $before = [];
            foreach ($box->needs as $name) {
                // Through which one works comes last, even where others need it.
                if (isset($number[$name]) && $name !== $last && $number[$name] !== $i) {
                    $before[] = $number[$name];
                }
            }
            if ($box->name === $last) {
                $before = array_values(array_diff(array_keys($boxes), [$i]));
            }
            $this->before[$i] = array_values(array_unique($before));
            $this->apart[$i] = array_values(
                array_filter(
                    array_map(fn (string $name): ?int => $number[$name] ?? null, $box->apart),
                    is_int(...),
                ),
            );
        }
    }

    /** @return array{list<Doing>, list<DueBox>} the plan, and what found no place in it */
    public function plan(): array
    {
        $all = array_keys($this->boxes);
        $possible = array_values(
            array_filter(
                $all,
                fn (int $i): bool => $this->boxes[$i]->allowed->fits(
                    $this->now,
                    $this->boxes[$i]->seconds(),
                ) !== null,
            ),
        );
        $plan =
            count($possible) <= self::EXACT && ! $this->isKeptApart($possible)
                ? $this->exact($possible) ?? $this->greedy($possible)
                : $this->greedy($possible);
        $done = array_map(fn (Doing $one): string => $one->box->name, $plan);

        return [
            $plan,
            array_values(
                array_filter($this->boxes, fn (DueBox $box): bool => ! in_array($box->name, $done, true)),
            ),
        ];
    }

    /** @param  list<int>  $of */
    private function isKeptApart(array $of): bool
    {
        foreach ($of as $i) {
            if (array_intersect($this->apart[$i], $of) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $of
     * @return ?list<Doing> null when not all of them find a place
     */
    private function exact(array $of): ?array
    {
        $count = count($of);
        $bit = array_flip($of);
        /** @var array<int, array{int, float, int}> $best by set: when it is over, urgency times waiting, the last box */
        $best = [0 => [$this->now, 0.0, -1]];
        for ($set = 1; $set < 1 << $count; $set++) {
            for ($at = 0; $at < $count; $at++) {
                $rest = $set & ~(1 << $at);
                if ($rest === $set || ! isset($best[$rest])) {
                    continue;
                }
                $i = $of[$at];
                foreach ($this->before[$i] as $earlier) {
                    if (isset($bit[$earlier]) && ($rest & (1 << $bit[$earlier])) === 0) {
                        continue 2;
                    }
                }
                $box = $this->boxes[$i];
                $start = $box->allowed->fits($best[$rest][0], $box->seconds());
                if ($start === null) {
                    continue;
                }
                $end = $start + $box->seconds();
                $waits = $best[$rest][1] + $box->risk->score() * ($end - $this->now);
                if (! isset($best[$set]) || [$end, $waits] < [$best[$set][0], $best[$set][1]]) {
                    $best[$set] = [$end, $waits, $at];
                }
            }
        }
        $set = (1 << $count) - 1;
        if (! isset($best[$set])) {
            return null;
        }
        $plan = [];
        while ($set > 0) {
            [$end, , $at] = $best[$set];
            $box = $this->boxes[$of[$at]];
            array_unshift($plan, new Doing($box, $end - $box->seconds()));
            $set &= ~(1 << $at);
        }

        return $plan;
    }

    /**
     * @param  list<int>  $of
     * @return list<Doing>
     */
    private function greedy(array $of): array
    {
        $plan = [];
        $left = array_fill_keys($of, true);
        $ended = [];
        for ($time = $this->now; $left !== [];) {
            $best = null;
            foreach (array_keys($left) as $i) {
                foreach ($this->before[$i] as $earlier) {
                    if (isset($left[$earlier])) {
                        continue 2;
                    }
                }
                $box = $this->boxes[$i];
                $start = $box->allowed->fits($this->notBefore($i, $time, $ended), $box->seconds());
                if ($start === null) {
                    continue;
                }
                $key = [$start + $box->seconds(), -$box->risk->score(), $box->name];
                if ($best === null || $key < $best[0]) {
                    $best = [$key, $i, $start];
                }
            }
            if ($best === null) {
                // What is left finds no window any more; those who only waited for it may still.
                $stuck = array_filter(
                    array_keys($left),
                    fn (int $i): bool => array_intersect_key(array_flip($this->before[$i]), $left) === [],
                );
                foreach ($stuck === [] ? array_keys($left) : $stuck as $i) {
                    unset($left[$i]);
                }

                continue;
            }
            [, $i, $start] = $best;
            $doing = $plan[] = new Doing($this->boxes[$i], $start);
            $time = $ended[$i] = $doing->end();
            unset($left[$i]);
        }

        return $plan;
    }

    /** @param  array<int, int>  $ended  when boxes were over, by number */
    private function notBefore(int $i, int $time, array $ended): int
    {
        foreach ($this->apart[$i] as $other) {
            if (isset($ended[$other])) {
                $time = max($time, $ended[$other] + self::APART);
            }
        }

        return $time;
    }
}
