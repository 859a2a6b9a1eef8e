<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Bytes;
use DateTimeImmutable;
use DateTimeZone;

/**
 * How many copies are kept: the newest of each of the last days, weeks, months and years that have one (grandfather,
 * father and son). Days and weeks are those of UTC, as the copies are named; a week begins on Monday (ISO 8601).
 */
final readonly class Keep
{
    /** Copies are named so: 2026-11-26T023001Z. */
    public const STAMP = '/^\d{4}-\d\d-\d\dT\d{6}Z$/D';

    /** Each 0 to 400; one of them at least 1. */
    public function __construct(
        public int $daily = 7,
        public int $weekly = 4,
        public int $monthly = 12,
        public int $yearly = 0,
    ) {
    }

    /**
     * Which copies stay; the newest always does. What is not named like a copy is nobody's and stays out of this.
     *
     * @param  list<string>  $stamps
     * @return list<string> the newest first
     */
    public function kept(array $stamps): array
    {
        $stamps = array_values(array_filter($stamps, fn (string $one): bool => self::time($one) !== null));
        rsort($stamps);
        $kept = array_slice($stamps, 0, 1);
        $periods = [
            'Ymd' => $this->daily,
            'oW' => $this->weekly,
            'Ym' => $this->monthly,
            'Y' => $this->yearly,
        ];
        foreach ($periods as $period => $most) {
            $seen = [];
            foreach ($stamps as $stamp) {
                $in = self::time($stamp)?->format($period) ?? '';
                if (count($seen) < $most && ! isset($seen[$in])) {
                    $seen[$in] = true;
                    $kept[] = $stamp;
                }
            }
        }
        $kept = array_values(array_unique($kept));
        rsort($kept);

        return $kept;
    }

    /** Copies at most. */
    public function copies(): int
    {
        return $this->daily + $this->weekly + $this->monthly + $this->yearly;
    }

    /** Days back to the oldest copy, once there are all. */
    public function days(): int
    {
        return max($this->daily, 7 * $this->weekly, 31 * $this->monthly, 366 * $this->yearly);
    }

    /**
     * Room that all copies take at most: a file that did not change is held once (hard links, link(2)), and of what
     * changes each day may be another.
     *
     * @param  Bytes  $changed  on a day
     */
    public function room(Bytes $full, Bytes $changed): Bytes
    {
        $more = (float) $changed->count * $this->days();

        return Bytes::of((int) min($full->count + $more, 9e18));
    }

    public function roomWorking(Bytes $full, Bytes $changed): Working
    {
        $room = $this->room($full, $changed);

        return Working::of(
            'stores.copies_room',
            'Room that the copies take at most',
            $room->decimal(),
            Source::commonPractice(),
            Line::given('one full copy', $full->decimal()),
            Line::given('changed on a day', $changed->decimal()),
            Line::computed(
                'days back to the oldest',
                "max({$this->daily}; 7 × {$this->weekly}; 31 × {$this->monthly}; 366 × {$this->yearly})",
                "{$this->days()} days",
            ),
            Line::computed(
                'room',
                "{$full->decimal()} + {$changed->decimal()} × {$this->days()}",
                $room->decimal(),
            ),
        );
    }

    public static function time(string $stamp): ?DateTimeImmutable
    {
        if (preg_match(self::STAMP, $stamp) !== 1) {
            return null;
        }
        $time = DateTimeImmutable::createFromFormat('!Y-m-d\THis\Z', $stamp, new DateTimeZone('UTC'));

        return $time !== false && $time->format('Y-m-d\THis\Z') === $stamp ? $time : null;
    }
}
