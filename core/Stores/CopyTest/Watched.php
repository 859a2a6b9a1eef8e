<?php

declare(strict_types=1);

namespace Burrow\Stores\CopyTest;

/**
 * A copy as the box watched it: its settled rate, its lowest second, seconds in which it stood, and how busy the box
 * was. The first seconds go into memory and are left out (common practice).
 */
final readonly class Watched
{
    /** Share of the fastest second from which on the copy is under way. */
    private const UNDER_WAY = 0.2;

    /** Seconds at its beginning that go into memory. */
    private const FIRST = 3;

    /** Share of the settled rate below which it stood. */
    private const STOOD = 0.1;

    /** Seconds that tell. */
    private const LEAST = 8;

    /** Seconds that are read. */
    private const MOST = 3600;

    /** Per cent from which on a core is full. */
    private const FULL = 90;

    /** Bytes a second below which nothing was copied. */
    private const NOTHING = 50_000;

    /**
     * @param  float  $rate  bytes a second, the median
     * @param  float  $lowest  bytes a second
     * @param  int  $stalls  seconds
     * @param  int  $seconds  that were counted
     * @param  int  $cores  of the box
     * @param  float  $busiest  per cent of the busiest core, on average
     * @param  float  $idle  per cent of all cores, on average
     */
    private function __construct(
        public float $rate,
        public float $lowest,
        public int $stalls,
        public int $seconds,
        public int $cores,
        public float $busiest,
        public float $idle,
    ) {
    }

    /** Null when no copy was watched for long enough. */
    public static function of(string $text): ?self
    {
        preg_match_all(
            '/^.*?\bwatched net=(\d{1,15}) disk=(\d{1,15}) busy=([\d,]{1,2000})/m',
            $text,
            $all,
            PREG_SET_ORDER,
        );
        $all = array_slice($all, 0, self::MOST);
        $net = array_map(fn (array $one): float => (float) $one[1], $all);
        $most = $net === [] ? 0.0 : max($net);
        if ($most < self::NOTHING) {
            return null;
        }
        $under = array_keys(array_filter($net, fn (float $one): bool => $one >= self::UNDER_WAY * $most));
        $from = $under[0] + self::FIRST;
        $to = $under[count($under) - 1];
        if ($to - $from + 1 < self::LEAST) {
            return null;
        }
        $counted = array_slice($net, $from, $to - $from + 1);
        $sorted = $counted;
        sort($sorted);
        $rate = $sorted[intdiv(count($sorted), 2)];
        $busy = [];
        foreach (array_slice($all, $from, $to - $from + 1) as $one) {
            foreach (explode(',', trim($one[3], ',')) as $core => $percent) {
                $busy[$core][] = min(100, (int) $percent);
            }
        }
        $means = array_map(fn (array $of): float => array_sum($of) / count($of), $busy);

        return new self(
            $rate,
            $sorted[0],
            count(array_filter($counted, fn (float $one): bool => $one < self::STOOD * $rate)),
            count($counted),
            count($means),
            $means === [] ? 0.0 : max($means),
            $means === [] ? 100.0 : 100 - array_sum($means) / count($means),
        );
    }

    public function megabytes(): float
    {
        return round($this->rate / 1e6, 2);
    }

    /** One core of several is full: the box is the limit although most of it is idle. */
    public function oneCoreIsFull(): bool
    {
        return $this->busiest >= self::FULL;
    }

    /** "41.3 MB/s settled, 12.0 at the lowest, stood for 2 of 24 s; the busiest of 4 cores 97 %, 74 % idle" */
    public function words(): string
    {
        return sprintf(
            '%.1f MB/s settled, %.1f at the lowest%s, over %d s; the busiest of %d cores %d %%, %d %% idle',
            $this->rate / 1e6,
            $this->lowest / 1e6,
            $this->stalls === 0 ? '' : ", stood for {$this->stalls} s",
            $this->seconds,
            $this->cores,
            (int) round($this->busiest),
            (int) round($this->idle),
        );
    }
}
