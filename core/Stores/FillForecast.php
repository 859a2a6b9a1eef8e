<?php

declare(strict_types=1);

namespace Burrow\Stores;

use JsonSerializable;

/**
 * When a disk will be full, from how full it was. What grows is the mean of what came a day; a jump that came once
 * (something was put there, or cleaned up) is taken out of it, and jumps that come again are part of it. How sure that
 * is says the spread of what came in stretches of the series: it holds seasons, waves, lumps and walks alike (batch
 * means: Law and Kelton, Simulation Modeling and Analysis, 9.5.3). The moments are when the range of what may be used
 * then, which widens with the days, meets the share.
 */
final readonly class FillForecast implements JsonSerializable
{
    private const DAY = 86400;

    /** Stretches of the series that are compared; fewer where there are few samples. */
    private const PARTS = 8;

    /** Student's t for 90 percent, both sides, by degrees of freedom (published tables). */
    private const T = [1 => 6.314, 2.920, 2.353, 2.132, 2.015, 1.943, 1.895];

    /** A jump is this many times the usual change, and so much of the disk. */
    private const STEP = 8.0;

    private const STEP_SHARE = 0.005;

    /** Jumps of one direction that make a habit. */
    private const HABIT = 3;

    /** Two are one as well when they are of one size, within this share of it. */
    private const ALIKE = 0.25;

    /** Days between two samples in which what came is not called a jump. */
    private const GAP = 4.0;

    /** Beyond, nobody can say. */
    private const FARTHEST = 20 * 365 * self::DAY;

    /**
     * @param  float  $perDay  bytes
     * @param  float  $spreadPerDay  bytes a day, half of the range in which the trend lies with 90 percent
     * @param  float  $noise  bytes, half of the range in which single samples lie around the trend
     * @param  float  $level  bytes used at the last sample, by the trend
     * @param  list<array{at: int, bytes: int}>  $steps  above nought something was put there, below something went
     * @param  float  $walk  bytes by the root of a day: how far it may stray from the trend, with 90 percent
     */
    private function __construct(
        public int $bytes,
        public int $now,
        public float $perDay,
        public float $spreadPerDay,
        public float $noise,
        public float $level,
        public array $steps,
        public int $samples,
        private int $last,
        private float $walk,
    ) {
    }

    /**
     * @param  int  $bytes  that ordinary users may fill
     * @param  non-empty-list<FillSample>  $samples  in any order; of one moment the last counts
     */
    public static function of(int $bytes, array $samples, ?int $now = null): self
    {
        $by = [];
        foreach ($samples as $sample) {
            $by[$sample->at] = $sample->usedBytes;
        }
        ksort($by);
        $days = array_map(fn (int $at): float => $at / self::DAY, array_keys($by));
        $used = self::withoutSpikes(array_values(array_map(floatval(...), $by)), $bytes);
        $steps = self::steps($days, $used, $bytes);
        $taken = 0.0;
        $smooth = [];
        foreach ($used as $i => $one) {
            $taken += $steps[$i] ?? 0.0;
            $smooth[$i] = $one - $taken;
        }
        $count = count($smooth);
        $last = $days[$count - 1];
        $span = $last - $days[0];
        // What single samples are off by, from a line through their neighbours.
        $off = [];
        for ($i = 1; $i < $count - 1; $i++) {
            $share = ($days[$i] - $days[$i - 1]) / ($days[$i + 1] - $days[$i - 1]);
            $off[] = abs($smooth[$i] - $smooth[$i - 1] - $share * ($smooth[$i + 1] - $smooth[$i - 1]));
        }
        sort($off);
        // Of noise alone a sample and half of each neighbour are in it: three halves of its variance.
        $alone = (1.4826 * self::median($off)) ** 2 / 1.5;
        [$rhythm, $lump] = self::rhythm($days, $smooth, $bytes);
        [$perDay, $walk] = self::growth($days, $smooth, $rhythm, $alone);
        // Where it comes in lumps, the next one may come tomorrow.
        $noise = max($lump, $off === [] ? 0.0 : $off[(int) floor(0.9 * (count($off) - 1))]);
        $few = $count < 4 || $span <= 0;

        return new self(
            $bytes,
            max($now ?? (int) array_key_last($by), (int) array_key_last($by)),
            $perDay,
            // Too few to compare: the trend may be nothing, or twice itself.
            $few ? abs($perDay) : $walk / sqrt($span),
            $noise,
            self::median(array_slice($used, -3)) + ($count >= 3 ? $perDay * ($last - $days[$count - 2]) : 0.0),
            array_values(
                array_map(
                    fn (int $i, float $step): array => ['at' => array_keys($by)[$i], 'bytes' => (int) round($step)],
                    array_keys($steps),
                    $steps,
                ),
            ),
            $count,
            (int) array_key_last($by),
            $few ? 0.0 : $walk,
        );
    }

    /** Bytes used at a moment, by the trend. */
    public function at(int $when): float
    {
        return $this->level + ($this->perDay * ($when - $this->last)) / self::DAY;
    }

    /**
     * When so much of the disk is used: likely, at the earliest and at the latest with 90 percent.
     *
     * @param  float  $share  0 to 1
     * @return array{at: ?int, from: ?int, to: ?int} Unix seconds; null for never, or too far to say; now when it is already
     */
    public function reaches(float $share): array
    {
        $left = $share * $this->bytes - $this->at($this->now);
        if ($left <= 0) {
            return ['at' => $this->now, 'from' => $this->now, 'to' => $this->now];
        }
        if ($this->samples < 3) {
            return ['at' => null, 'from' => null, 'to' => null];
        }

        return [
            'at' => $this->perDay <= 0 ? null : $this->after($left / $this->perDay),
            'from' => $this->meets($left, 1),
            'to' => $this->meets($left, -1),
        ];
    }

    private function after(float $days): ?int
    {
        return $days * self::DAY > self::FARTHEST ? null : $this->now + (int) round($days * self::DAY);
    }

    /**
     * When an edge of the range of what may be used then meets what is left; the upper one at the earliest, the lower
     * one at the latest, and from then on it stays beyond.
     *
     * @param  1|-1  $side
     */
    private function meets(float $left, int $side): ?int
    {
        $edge = fn (float $days): float => $this->perDay * $days +
            $side * $this->off($this->now + (int) ($days * self::DAY));
        $farthest = self::FARTHEST / self::DAY;
        if ($edge($farthest) < $left) {
            return null;
        }
        // The lower edge sinks before it rises, so the last crossing is sought; the upper one rises all the way.
        for ($low = 0.0, $high = $farthest, $turn = 0; $turn < 60; $turn++) {
            $middle = ($low + $high) / 2;
            $edge($middle) < $left ? ($low = $middle) : ($high = $middle);
        }

        return $this->after($high);
    }

    /** Bytes by which it may be off the trend at a moment after the last sample, with 90 percent. */
    public function off(int $when): float
    {
        $days = max(0, $when - $this->last) / self::DAY;

        return sqrt(($this->spreadPerDay * $days) ** 2 + $this->walk ** 2 * $days) + $this->noise;
    }

    /** By the trend; no disk is more than full, however long ago it was looked at. */
    public function usedPercent(): float
    {
        return round(max(0.0, min(100.0, (100 * $this->at($this->now)) / $this->bytes)), 2);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $eighty = $this->reaches(0.85);
        $full = $this->reaches(1.0);

        return [
            'used_percent' => $this->usedPercent(),
            'trend_bytes_per_day' => round($this->perDay, 1),
            'spread_bytes_per_day' => round($this->spreadPerDay, 1),
            'noise_bytes' => round($this->noise),
            'at_85_percent' => $eighty['at'],
            'at_85_percent_from' => $eighty['from'],
            'at_85_percent_to' => $eighty['to'],
            'at_100_percent' => $full['at'],
            'at_100_percent_from' => $full['from'],
            'at_100_percent_to' => $full['to'],
            'steps' => $this->steps,
            'samples' => $this->samples,
            'now' => $this->now,
        ];
    }

    /**
     * A sample far from both of its neighbours, which agree with one another, was no change of the disk.
     *
     * @param  list<float>  $used
     * @return list<float>
     */
    private static function withoutSpikes(array $used, int $bytes): array
    {
        $clean = $used;
        for ($i = 1; $i < count($used) - 1; $i++) {
            [$before, $here, $behind] = [$used[$i - 1], $used[$i], $used[$i + 1]];
            $off = abs($here - ($before + $behind) / 2);
            if ($off > self::STEP_SHARE * $bytes && $off > self::STEP / 2 * abs($behind - $before)) {
                $clean[$i] = ($before + $behind) / 2;
            }
        }

        return array_values($clean);
    }

    /**
     * Jumps that came once: changes far from what is usual in so many days. Those that come again in one direction are
     * no such jumps but the way the disk fills, or is cleaned up.
     *
     * @param  list<float>  $days
     * @param  list<float>  $used
     * @return array<int, float> by the sample that shows it first: how far it is beyond what was usual
     */
    private static function steps(array $days, array $used, int $bytes): array
    {
        $rates = $lengths = [];
        for ($i = 1, $count = count($days); $i < $count; $i++) {
            $lengths[$i] = $days[$i] - $days[$i - 1];
            $rates[$i] = ($used[$i] - $used[$i - 1]) / $lengths[$i];
        }
        if (count($rates) < 4) {
            return [];
        }
        $usual = self::median($rates);
        $around = self::median(array_map(fn (float $one): float => abs($one - $usual), $rates));
        $up = $down = [];
        foreach ($rates as $i => $rate) {
            $beyond = ($rate - $usual) * $lengths[$i];
            // In many days chance alone goes far by the root of their number, and the usual by their number.
            $chance = self::STEP * $around * max($lengths[$i], sqrt($lengths[$i]));
            if (abs($beyond) > max($chance, self::STEP_SHARE * $bytes)) {
                $beyond > 0 ? ($up[$i] = $beyond) : ($down[$i] = $beyond);
            }
        }
        $once = [];
        foreach ([$up, $down] as $jumps) {
            $sizes = array_values(array_map(abs(...), $jumps));
            $isHabit =
                count($jumps) >= self::HABIT ||
                (count($sizes) === 2 && abs($sizes[0] - $sizes[1]) < self::ALIKE * max($sizes));
            $once += $isHabit ? [] : $jumps;
        }
        ksort($once);

        return $once;
    }

    /**
     * Days between the jumps that come again, and their size.
     *
     * @param  list<float>  $days
     * @param  array<int, float>  $used  without those that came once
     * @return array{float, float} days, bytes
     */
    private static function rhythm(array $days, array $used, int $bytes): array
    {
        $at = $sizes = [];
        for ($i = 1, $count = count($days); $i < $count; $i++) {
            $size = abs($used[$i] - $used[$i - 1]);
            if ($size > self::STEP_SHARE * $bytes && $days[$i] - $days[$i - 1] < self::GAP) {
                $at[] = $days[$i];
                $sizes[] = $size;
            }
        }
        $between = [];
        for ($i = 1; $i < count($at); $i++) {
            $between[] = $at[$i] - $at[$i - 1];
        }

        return [self::median($between), count($sizes) * 4 > $count ? 0.0 : self::median($sizes)];
    }

    /**
     * What comes a day, and how far that strays: the mean over the whole, and the spread of the means of its stretches.
     *
     * @param  list<float>  $days
     * @param  array<int, float>  $used
     * @param  float  $rhythm  days after which what comes comes again; a stretch holds some of them
     * @param  float  $alone  variance of what single samples are off by, which both ends of a stretch have in them
     * @return array{float, float} bytes a day; bytes by the root of a day, with 90 percent
     */
    private static function growth(array $days, array $used, float $rhythm, float $alone): array
    {
        $count = count($days);
        $span = $days[$count - 1] - $days[0];
        if ($span <= 0) {
            return [0.0, 0.0];
        }
        // At the ends a few samples stand for one, which a single odd one does not move.
        $ends = max(1, min(3, intdiv($count, 6)));
        $at = fn (int $from): array => [
            array_sum(array_slice($days, $from, $ends)) / $ends,
            self::median(array_slice($used, $from, $ends)),
        ];
        [$x0, $y0] = $at(0);
        [$x1, $y1] = $at($count - $ends);
        $perDay = $x1 > $x0 ? ($y1 - $y0) / ($x1 - $x0) : 0.0;
        $parts = min(self::PARTS, intdiv($count, 3), $rhythm > 0 ? max(3, (int) ($span / $rhythm)) : self::PARTS);
        if ($parts < 2) {
            return [$perDay, abs($perDay) * sqrt($span)];
        }
        $sum = $ofEnds = 0.0;
        for ($part = 0, $i = 0; $part < $parts; $part++) {
            $until = $days[0] + ($span * ($part + 1)) / $parts;
            for ($j = $i; $j < $count - 1 && $days[$j] < $until; $j++);
            $length = $days[$j] - $days[$i];
            if ($length > 0) {
                $sum += ($used[$j] - $used[$i] - $perDay * $length) ** 2 / $length;
                $ofEnds += (2 * $alone) / $length;
            }
            $i = $j;
        }

        return [$perDay, self::T[$parts - 1] * sqrt(max($sum - $ofEnds, $sum / 4) / ($parts - 1))];
    }

    /** @param  array<int, float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $count = count($values);
        if ($count === 0) {
            return 0.0;
        }
        $half = intdiv($count, 2);

        return $count % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
