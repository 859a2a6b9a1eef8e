<?php

declare(strict_types=1);

namespace Burrow\Journal\Compare;

use InvalidArgumentException;

/**
 * Whether two groups of readings differ by more than chance: how often the labels, dealt anew, make a difference of
 * means that is as large or larger, whichever way (permutation test; Fisher 1935, Good 2005).
 */
final readonly class Permutation
{
    /** Up to so many ways of dealing every one is looked at. */
    private const EXACT = 50_000;

    private const DRAWS = 20_000;

    /** Below this share a difference is said to be hardly chance, and seldom chance (common practice). */
    private const HARDLY = 0.01;

    private const SELDOM = 0.05;

    private function __construct(public float $difference, public float $odds, public bool $isExact)
    {
    }

    /**
     * @param  non-empty-list<float>  $a
     * @param  non-empty-list<float>  $b
     * @param  callable(int): int  $random  of a number above zero: one from 0 to below it
     *
     * @throws InvalidArgumentException for a group without a reading
     */
    public static function of(array $a, array $b, callable $random): self
    {
        if ($a === [] || $b === []) {
            throw new InvalidArgumentException('Two groups with readings are wanted.');
        }
        $all = [...$a, ...$b];
        $n = count($a);
        $sum = array_sum($all);
        $mean = fn (float $ofA): float => $ofA / $n - ($sum - $ofA) / count($b);
        $difference = $mean(array_sum($a));
        // As large, but for the last digits of the machine.
        $least = abs($difference) - 1e-9 * max(1.0, abs($difference));
        $ways = self::ways(count($all), min($n, count($b)));
        if ($ways <= self::EXACT) {
            $as = 0;
            foreach (self::choices($all, $n) as $ofA) {
                $as += abs($mean($ofA)) >= $least ? 1 : 0;
            }

            return new self($difference, $as / $ways, true);
        }
        $as = 1;
        for ($draw = 0; $draw < self::DRAWS; $draw++) {
            $ofA = 0.0;
            // The first of a shuffled deck (Fisher and Yates).
            for ($i = 0; $i < $n; $i++) {
                $j = $i + $random(count($all) - $i);
                [$all[$i], $all[$j]] = [$all[$j], $all[$i]];
                $ofA += $all[$i];
            }
            $as += abs($mean($ofA)) >= $least ? 1 : 0;
        }

        return new self($difference, $as / (self::DRAWS + 1), false);
    }

    public function words(): string
    {
        $of = match (true) {
            $this->odds >= 0.995 => 'nearly always',
            $this->odds >= 0.01 => 'in '.round(100 * $this->odds).' of 100',
            $this->odds >= 0.001 => 'in '.round(1000 * $this->odds).' of 1000',
            default => 'in fewer than 1 of 1000',
        };
        $means = match (true) {
            $this->odds < self::HARDLY => 'it is hardly chance',
            $this->odds < self::SELDOM => 'it is seldom chance',
            default => 'it may well be chance',
        };

        return "By chance alone a difference as large comes {$of}: {$means}.";
    }

    /** Ways of choosing so many of so many; one more than EXACT where there are more. */
    private static function ways(int $all, int $few): int
    {
        $ways = 1.0;
        for ($i = 1; $i <= $few; $i++) {
            $ways = ($ways * ($all - $few + $i)) / $i;
            if ($ways > self::EXACT) {
                return self::EXACT + 1;
            }
        }

        return (int) round($ways);
    }

    /**
     * Sums of every choice of so many readings.
     *
     * @param  list<float>  $all
     * @return iterable<float>
     */
    private static function choices(array $all, int $n): iterable
    {
        $at = range(0, $n - 1);
        $count = count($all);
        while (true) {
            $sum = 0.0;
            foreach ($at as $i) {
                $sum += $all[$i];
            }
            yield $sum;
            for ($k = $n - 1; $k >= 0 && $at[$k] === $count - $n + $k; $k--);
            if ($k < 0) {
                return;
            }
            $at[$k]++;
            for ($j = $k + 1; $j < $n; $j++) {
                $at[$j] = $at[$j - 1] + 1;
            }
        }
    }
}
