<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

use JsonSerializable;

/**
 * Several runs with one pair of hands: in which order their steps are taken, so that the last of them is over soonest.
 *
 * A timetable is an order of steps; each begins as soon as the hands are there, the step before it in its run is over,
 * and what it holds is free. The first order takes, of those that could begin now, the step with most behind it. It is
 * then made better by moving single steps to and fro (simulated annealing, Kirkpatrick 1983) with a sequence of numbers
 * that is the same each time, until nothing can be better or enough was tried.
 */
final readonly class Timetable implements JsonSerializable
{
    /** Steps that are set in all; more would be better by less than anybody notices. */
    private const TRIED = 300_000;

    /** How far a step is moved at once. */
    private const REACH = 20;

    /** An order may get worse by about this share at first, and by nothing at the end. */
    private const WORSE = 0.01;

    /** Evenings that are played through with waits from within their ranges. */
    private const PLAYED = 400;

    /**
     * @param  list<Slot>  $slots  in the order of their beginnings
     * @param  list<float>  $ends  seconds after which all is over in each evening that was played, the soonest first
     */
    private function __construct(public array $slots, private float $oneAfterAnother, private array $ends)
    {
    }

    /**
     * @param  list<Lane>  $lanes
     * @param  float  $walk  seconds from one place to another
     * @param  int  $effort  steps that are set in all while it looks for a better order
     */
    public static function of(array $lanes, float $walk = 0, int $effort = self::TRIED): self
    {
        $order = self::better(self::first($lanes, $walk), $lanes, $walk, $effort);
        $slots = [];
        $at = array_fill(0, count($lanes), 0);
        foreach (self::starts($order, $lanes, $walk) as $i => $start) {
            $lane = $lanes[$order[$i]];
            $slots[] = new Slot($lane->run, $lane->tasks[$at[$order[$i]]++], $start);
        }
        usort($slots, fn (Slot $one, Slot $other): int => $one->start <=> $other->start);

        return new self(
            $slots,
            array_sum(array_map(fn (Lane $lane): float => $lane->length(), $lanes)),
            self::played($order, $lanes, $walk),
        );
    }

    /**
     * The same order of steps with waits as they may turn out, each as likely as any other within its range: what ends
     * last is the longest of several, so that the evening is over later than with the middle of each.
     *
     * @param  list<int>  $order
     * @param  list<Lane>  $lanes
     * @return list<float>
     */
    private static function played(array $order, array $lanes, float $walk): array
    {
        $ranges = 0;
        foreach ($lanes as $lane) {
            $ranges += count(array_filter($lane->tasks, fn (Task $task): bool => $task->between !== null));
        }
        $number = 1;
        $ends = [];
        for ($turn = 0; $turn < ($ranges === 0 ? 1 : self::PLAYED); $turn++) {
            $turned = [];
            foreach ($lanes as $lane) {
                $tasks = [];
                foreach ($lane->tasks as $task) {
                    // Park and Miller's minimal standard: the same numbers each time.
                    $number = ($number * 48271) % 2147483647;
                    $tasks[] = $task->waiting($number / 2147483647);
                }
                $turned[] = new Lane($lane->run, $tasks);
            }
            $ends[] = self::taken($order, $turned, $walk)->over();
        }
        sort($ends);

        return $ends;
    }

    /**
     * Seconds after which all is over in so many of a hundred evenings, waits being as they may turn out.
     *
     * @param  int  $percent  1 to 99
     */
    public function overBy(int $percent): float
    {
        return $this->ends[(int) floor(((count($this->ends) - 1) * $percent) / 100)];
    }

    public function finish(): float
    {
        return max([0.0, ...array_map(fn (Slot $slot): float => $slot->end(), $this->slots)]);
    }

    public function hands(): float
    {
        return array_sum(array_map(fn (Slot $slot): float => $slot->task->hands, $this->slots));
    }

    /** What the same would take with one run begun when the other is over. */
    public function oneAfterAnother(): float
    {
        return $this->oneAfterAnother;
    }

    /**
     * What needs hands and what goes on by itself are two entries of a step; a thing is held through both.
     *
     * @return array<string, mixed>
     */
    public function jsonSerialize(): array
    {
        $steps = [];
        foreach ($this->slots as $slot) {
            $parts = array_filter([
                $slot->task->hands > 0 ? [$slot->start, $slot->handsEnd(), true] : null,
                $slot->task->wait > 0 || $slot->task->hands <= 0
                    ? [$slot->handsEnd(), $slot->end(), false]
                    : null,
            ]);
            foreach ($parts as [$from, $to, $byHand]) {
                $steps[] = [
                    'run' => $slot->run,
                    'step' => $slot->task->id,
                    'start_s' => $from,
                    'end_s' => $to,
                    'hands' => $byHand,
                    'holds' => $slot->task->holds,
                ];
            }
        }
        usort($steps, fn (array $one, array $other): int => $one['start_s'] <=> $other['start_s']);

        return [
            'steps' => $steps,
            'finish_s' => $this->finish(),
            'finish_early_s' => $this->overBy(10),
            'finish_likely_s' => $this->overBy(50),
            'finish_late_s' => $this->overBy(90),
            'hands_s' => $this->hands(),
            'one_after_another_s' => $this->oneAfterAnother(),
        ];
    }

    /**
     * The order that takes, of what could begin before anything else could be over, the step with most behind it.
     *
     * @param  list<Lane>  $lanes
     * @return list<int> by step of the order: which run's next step it is
     */
    private static function first(array $lanes, float $walk): array
    {
        $left = array_map(fn (Lane $lane): float => $lane->length(), $lanes);
        $at = array_fill(0, count($lanes), 0);
        $state = new Hands(count($lanes), $walk);
        $order = [];
        while (true) {
            $could = [];
            foreach ($lanes as $i => $lane) {
                if (isset($lane->tasks[$at[$i]])) {
                    $start = $state->start($i, $lane->tasks[$at[$i]]);
                    $could[$i] = [$start, $start + $lane->tasks[$at[$i]]->hands];
                }
            }
            if ($could === []) {
                return $order;
            }
            $soonest = min(array_column($could, 1));
            $could = array_filter($could, fn (array $one): bool => $one[0] <= $soonest);
            uksort(
                $could,
                fn (int $one, int $other): int => [$left[$other], $could[$one][0]] <=> [
                    $left[$one],
                    $could[$other][0],
                ],
            );
            $next = (int) array_key_first($could);
            $task = $lanes[$next]->tasks[$at[$next]++];
            $state->take($next, $task);
            $left[$next] -= $task->length();
            $order[] = $next;
        }
    }

    /**
     * @param  list<int>  $order
     * @param  list<Lane>  $lanes
     * @return list<int>
     */
    private static function better(array $order, array $lanes, float $walk, int $effort): array
    {
        $count = count($order);
        if ($count < 2 || count($lanes) < 2) {
            return $order;
        }
        $best = $now = $order;
        $bestEnd = $end = self::end($order, $lanes, $walk);
        $least = self::least($lanes);
        $turns = intdiv($effort, $count);
        $number = 1;
        $next = function (int $below) use (&$number): int {
            // Park and Miller's minimal standard: the same numbers each time.
            $number = ($number * 48271) % 2147483647;

            return intdiv($number * $below, 2147483647);
        };
        for ($turn = 0; $turn < $turns && $bestEnd > $least; $turn++) {
            $from = $next($count);
            $to = max(0, min($count - 1, $from + $next(2 * self::REACH + 1) - self::REACH));
            $moved = $now[$from];
            if ($to === $from) {
                continue;
            }
            $tried = $now;
            array_splice($tried, $from, 1);
            array_splice($tried, $to, 0, [$moved]);
            $triedEnd = self::end($tried, $lanes, $walk);
            $warm = self::WORSE * $bestEnd * (1 - $turn / $turns);
            if (
                $triedEnd <= $end ||
                $next(1_000_000) / 1_000_000 < exp(($end - $triedEnd) / max(1e-9, $warm))
            ) {
                [$now, $end] = [$tried, $triedEnd];
                if ($end < $bestEnd) {
                    [$best, $bestEnd] = [$now, $end];
                }
            }
        }

        return $best;
    }

    /**
     * No timetable is shorter: the longest run by itself, and what needs the hands or one thing, one after the other.
     *
     * @param  list<Lane>  $lanes
     */
    private static function least(array $lanes): float
    {
        $of = ['' => 0.0];
        foreach ($lanes as $lane) {
            foreach ($lane->tasks as $task) {
                $of[''] += $task->hands;
                foreach ($task->holds as $thing) {
                    $of[$thing] = ($of[$thing] ?? 0.0) + $task->length();
                }
            }
        }

        return max([...array_values($of), ...array_map(fn (Lane $lane): float => $lane->length(), $lanes)]);
    }

    /**
     * @param  list<int>  $order
     * @param  list<Lane>  $lanes
     */
    private static function end(array $order, array $lanes, float $walk): float
    {
        return self::taken($order, $lanes, $walk)->value();
    }

    /**
     * @param  list<int>  $order
     * @param  list<Lane>  $lanes
     */
    private static function taken(array $order, array $lanes, float $walk): Hands
    {
        $at = array_fill(0, count($lanes), 0);
        $state = new Hands(count($lanes), $walk);
        foreach ($order as $lane) {
            $state->take($lane, $lanes[$lane]->tasks[$at[$lane]++]);
        }

        return $state;
    }

    /**
     * @param  list<int>  $order
     * @param  list<Lane>  $lanes
     * @return list<float> when each step of the order begins
     */
    private static function starts(array $order, array $lanes, float $walk): array
    {
        $at = array_fill(0, count($lanes), 0);
        $state = new Hands(count($lanes), $walk);
        $starts = [];
        foreach ($order as $lane) {
            $starts[] = $state->take($lane, $lanes[$lane]->tasks[$at[$lane]++]);
        }

        return $starts;
    }
}
