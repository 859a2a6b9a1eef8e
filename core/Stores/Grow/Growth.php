<?php

declare(strict_types=1);

namespace Burrow\Stores\Grow;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Bytes;

/**
 * Something that writes by itself, day after day, and is kept for some days: bytes a day × days is what it holds in the
 * end.
 */
final readonly class Growth
{
    /**
     * @param  string  $name  "time-lapse"
     * @param  float  $perDay  bytes
     * @param  float  $days  that each byte is kept, above 0
     * @param  string  $formula  of the bytes a day, with the values put in
     * @param  bool  $isUpperBound  it may be less, never more
     */
    private function __construct(
        public string $name,
        public float $perDay,
        public float $days,
        public string $formula,
        public bool $isUpperBound = false,
    ) {
    }

    /**
     * @param  float  $megabytes  of one picture (10⁶ bytes)
     * @param  float  $seconds  between two, above 0
     * @param  float  $hours  a day, 0 to 24
     */
    public static function timeLapse(float $megabytes, float $seconds, float $hours, float $days): self
    {
        return new self(
            'time-lapse',
            ($megabytes * 1e6 * $hours * 3600) / $seconds,
            $days,
            self::n($megabytes).' MB × '.self::n($hours).' h × 3600 ÷ '.self::n($seconds).' s',
        );
    }

    /**
     * @param  float  $megabits  a second while it records (10⁶ bits)
     * @param  float  $hours  a day that it records: all 24, or only while something moves
     */
    public static function recording(float $megabits, float $hours, float $days): self
    {
        return new self(
            'recordings',
            (($megabits * 1e6) / 8) * $hours * 3600,
            $days,
            self::n($megabits).' Mbit/s ÷ 8 × '.self::n($hours).' h × 3600',
        );
    }

    /**
     * @param  float  $queries  a day
     * @param  float  $bytes  of one line
     */
    public static function queryLog(float $queries, float $bytes, float $days): self
    {
        return new self(
            'query log',
            $queries * $bytes,
            $days,
            self::n($queries).' questions × '.self::n($bytes).' bytes',
        );
    }

    /**
     * A snapshot holds what was changed since; where the same place is changed again each day, less.
     *
     * @param  float  $gigabytes  changed or deleted a day (10⁹ bytes)
     */
    public static function snapshots(float $gigabytes, float $days): self
    {
        return new self('snapshots', $gigabytes * 1e9, $days, self::n($gigabytes).' GB changed a day', true);
    }

    /** Bytes once the oldest is taken away as fast as new ones come. */
    public function held(): float
    {
        return $this->perDay * $this->days;
    }

    /** Bytes after so many days, from nothing. */
    public function after(float $days): float
    {
        return $this->perDay * min($days, $this->days);
    }

    /**
     * @param  list<self>  $all
     * @param  float  $room  bytes that are free for them
     * @return ?float days from nothing until the room is used up; null where it never is
     */
    public static function fullAfter(array $all, float $room): ?float
    {
        if (array_sum(array_map(fn (self $one): float => $one->held(), $all)) <= $room) {
            return null;
        }
        // In pieces: each has its end of growing, and between two ends it goes on evenly.
        $ends = array_map(fn (self $one): float => $one->days, $all);
        sort($ends);
        $from = 0.0;
        foreach ($ends as $end) {
            $at = self::sum($all, $end);
            if ($at > $room) {
                $before = self::sum($all, $from);

                return $from + (($room - $before) / ($at - $before)) * ($end - $from);
            }
            $from = $end;
        }

        return null;
    }

    /** @param  list<self>  $all */
    public static function sum(array $all, float $days): float
    {
        return array_sum(array_map(fn (self $one): float => $one->after($days), $all));
    }

    /** Days that could be kept in the room, were it alone there; null where it writes nothing. */
    public function daysIn(float $room): ?float
    {
        return $this->perDay > 0 ? $room / $this->perDay : null;
    }

    public function working(): Working
    {
        $day = Bytes::of((int) $this->perDay)->decimal();
        $held = Bytes::of((int) $this->held())->decimal();

        return Working::of(
            'stores.growth',
            ucfirst($this->name),
            $held,
            Source::commonPractice(),
            Line::computed('a day', $this->formula, $day),
            Line::computed(
                $this->isUpperBound ? 'held in the end, at most' : 'held in the end',
                "{$day} × ".self::n($this->days).' days',
                $held,
            ),
        );
    }

    private static function n(float $value): string
    {
        return (string) round($value, 3);
    }
}
