<?php

declare(strict_types=1);

namespace Burrow\Stores;

use JsonSerializable;

/**
 * When a disk will be full, from how full it was: steps (something was put there or cleaned up at once) are taken out
 * first, then the median of all slopes is the trend (Theil 1950, Sen 1968), which a few odd samples do not move. The
 * spread comes from how much the slopes of parts of the series differ, so that seasons widen it.
 */
final readonly class FillForecast implements JsonSerializable
{
    private const DAY = 86400;

    /** Samples that slopes are taken of; more are put together to that many. */
    private const POINTS = 240;

    /** Parts of the series whose slopes are compared. */
    private const PARTS = 4;

    /** Student's t for 90 percent and one degree less than the parts (published tables: 2.353). */
    private const T = 2.353;

    /** A step is this many times the usual change, and so much of the disk. */
    private const STEP = 8.0;

    private const STEP_SHARE = 0.005;

    /** Beyond, nobody can say. */
    private const FARTHEST = 20 * 365 * self::DAY;

    /**
     * @param  float  $perDay  bytes
     * @param  float  $spreadPerDay  bytes a day, half of the range in which the trend lies with 90 percent
     * @param  float  $noise  bytes, half of the range in which single samples lie around the trend
     * @param  float  $level  bytes used at the last sample, by the trend
     * @param  list<array{at: int, bytes: int}>  $steps  above nought something was put there, below something went
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
        $times = array_keys($by);
        $used = array_values($by);
        $steps = self::steps($times, $used, $bytes);
        $taken = 0;
        $smooth = [];
        foreach ($times as $i => $at) {
            foreach ($steps as $step) {
                $taken += $step['at'] === $at ? $step['bytes'] : 0;
            }
            $smooth[$i] = (float) ($used[$i] - $taken);
        }
        [$x, $y] = self::binned($times, $smooth);
        $perDay = self::slope($x, $y) * self::DAY;
        $last = $times[count($times) - 1];
        $residuals = [];
        foreach ($x as $i => $at) {
            $residuals[] = $y[$i] - ($perDay * ($at - $last)) / self::DAY;
        }
        $middle = self::median($residuals);
        $noise = 1.4826 * self::median(array_map(fn (float $one): float => abs($one - $middle), $residuals));

        return new self(
            $bytes,
            max($now ?? $last, $last),
            $perDay,
            self::spread($x, $y, $perDay),
            $noise,
            $middle + $taken,
            $steps,
            count($times),
            $last,
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
        $after = fn (float $bytes, float $perDay): ?int => $perDay <= 0 ||
        ($bytes / $perDay) * self::DAY > self::FARTHEST
            ? null
            : $this->now + (int) round((max(0.0, $bytes) / $perDay) * self::DAY);

        return [
            'at' => $this->samples < 3 ? null : $after($left, $this->perDay),
            'from' => $this->samples < 3 ? null : $after($left - $this->noise, $this->perDay + $this->spreadPerDay),
            'to' => $this->samples < 3 ? null : $after($left + $this->noise, $this->perDay - $this->spreadPerDay),
        ];
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
     * Changes between two samples that are far from what is usual there.
     *
     * @param  list<int>  $times
     * @param  list<int>  $used
     * @return list<array{at: int, bytes: int}>
     */
    private static function steps(array $times, array $used, int $bytes): array
    {
        $changes = [];
        for ($i = 1, $count = count($times); $i < $count; $i++) {
            $changes[] = (float) ($used[$i] - $used[$i - 1]);
        }
        if (count($changes) < 4) {
            return [];
        }
        $usual = self::median($changes);
        $around = self::median(array_map(fn (float $one): float => abs($one - $usual), $changes));
        $limit = max(self::STEP * $around, self::STEP_SHARE * $bytes);
        $steps = [];
        foreach ($changes as $i => $change) {
            if (abs($change - $usual) > $limit) {
                $steps[] = ['at' => $times[$i + 1], 'bytes' => (int) round($change - $usual)];
            }
        }

        return $steps;
    }

    /**
     * As many points as slopes are taken of: each the median of the samples it stands for.
     *
     * @param  list<int>  $times
     * @param  array<int, float>  $used
     * @return array{list<float>, list<float>}
     */
    private static function binned(array $times, array $used): array
    {
        $size = max(1, (int) ceil(count($times) / self::POINTS));
        $x = $y = [];
        for ($i = 0, $count = count($times); $i < $count; $i += $size) {
            $x[] = self::median(array_map(floatval(...), array_slice($times, $i, $size)));
            $y[] = self::median(array_slice($used, $i, $size));
        }

        return [$x, $y];
    }

    /**
     * The median of the slopes between all pairs of points, in bytes a second.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    private static function slope(array $x, array $y): float
    {
        $slopes = [];
        for ($i = 0, $count = count($x); $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                if ($x[$j] > $x[$i]) {
                    $slopes[] = ($y[$j] - $y[$i]) / ($x[$j] - $x[$i]);
                }
            }
        }

        return $slopes === [] ? 0.0 : self::median($slopes);
    }

    /**
     * Half of the range in which the trend lies, in bytes a day: from the slopes of the parts, each a sample of
     * what the
     * trend may be.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    private static function spread(array $x, array $y, float $perDay): float
    {
        $size = intdiv(count($x), self::PARTS);
        if ($size < 3) {
            // Too few to compare: the trend may be nothing, or twice itself.
            return abs($perDay);
        }
        $slopes = [];
        for ($part = 0; $part < self::PARTS; $part++) {
            $slopes[] =
                self::slope(array_slice($x, $part * $size, $size), array_slice($y, $part * $size, $size)) *
                self::DAY;
        }
        $mean = array_sum($slopes) / self::PARTS;
        $variance =
            array_sum(array_map(fn (float $one): float => ($one - $mean) ** 2, $slopes)) / (self::PARTS - 1);

        return self::T * sqrt($variance / self::PARTS);
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
