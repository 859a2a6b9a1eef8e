<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Draw;

use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Upkeep\Plan\Doing;
use Burrow\Upkeep\Plan\HousePlan;
use Burrow\Upkeep\Plan\Spans;
use Burrow\Upkeep\Plan\UpkeepPlan;
use DateTimeImmutable;
use DateTimeZone;

/**
 * The coming week as lanes, one a box: the first stretch of work is dug open to a larger scale, the rest is narrow.
 * Time runs to the right; hours in which a box is in use are textures.
 */
final readonly class WeekPicture
{
    public const WIDTH = 786.0;

    public const LANE = 58.0;

    public const HEAD = 92.0;

    public const LEFT = 150.0;

    public const DIG = 190.0;

    public const DUG = 470.0;

    public const RIGHT = 776.0;

    /** Lanes of one picture; the others stand in the table. */
    private const MOST = 12;

    /** Work that begins within so many seconds of what is over belongs to the same stretch. */
    private const TOGETHER = 3 * 3600;

    private const LETTER = 7.3;

    /** Textures that a person tells apart. */
    private const TEXTURES = 4;

    /**
     * @param  list<Lane>  $lanes
     * @param  list<array{x: float, label: string}>  $days
     * @param  list<array{x: float, label: string}>  $clock  marks of the stretch that is dug open
     * @param  list<string>  $textures  what each means
     * @param  bool  $dug  something is planned
     * @param  int  $more  boxes without a lane
     */
    private function __construct(
        public float $height,
        public array $lanes,
        public array $days,
        public array $clock,
        public array $textures,
        public bool $dug,
        public int $more,
    ) {
    }

    public static function of(Household $house, UpkeepPlan $plan): self
    {
        $zone = $house->now->getTimezone();
        $now = $plan->now;
        $end = $now + HousePlan::DAYS * 86400;
        [$from, $to] = self::stretch($plan);
        $x = fn (int $at): float => self::at($at, $now, $from, $to, $end);
        $busy = array_values(
            array_filter($house->hours(), fn (Hours $one): bool => $one->kind === Hours::BUSY),
        );
        $busy = array_slice($busy, 0, self::TEXTURES);
        $doings = $left = [];
        foreach ($plan->doings as $one) {
            $doings[$one->box->name] = $one;
        }
        foreach ($plan->left as $one) {
            $left[$one['box']] = $one['why'];
        }
        $names = array_map(strval(...), [...array_keys($doings), ...array_keys($left)]);
        $lanes = [];
        foreach (array_slice($names, 0, self::MOST) as $i => $name) {
            $spans = [];
            foreach ($busy as $texture => $hours) {
                $all = $hours->isOf($name)
                    ? Spans::weekly($hours->days, $hours->from, $hours->to, $now, $end, $zone)->spans
                    : [];
                foreach ($all as [$a, $b]) {
                    $spans[] = ['x' => $x($a), 'width' => max(1.5, $x($b) - $x($a)), 'texture' => $texture];
                }
            }
            $y = self::HEAD + $i * self::LANE;
            $doing = $doings[$name] ?? null;
            $lanes[] =
                $doing === null
                    ? new Lane(
                        $name,
                        $y,
                        $spans,
                        null,
                        null,
                        null,
                        self::cut($left[$name] ?? '', self::RIGHT - self::LEFT - 20),
                        self::LEFT + 10,
                    )
                    : self::lane($doing, $y, $spans, $x, $zone);
        }

        return new self(
            self::HEAD + max(1, count($lanes)) * self::LANE + 12,
            $lanes,
            self::days($now, $end, $to ?? $now, $zone, $x),
            $from === null || $to === null ? [] : self::clock($from, $to, $zone, $x),
            array_map(fn (Hours $one): string => $one->what, $busy),
            $from !== null,
            max(0, count($names) - self::MOST),
        );
    }

    /** @return array{?int, ?int} the first stretch of work, to the quarter of an hour; nulls where nothing is planned */
    private static function stretch(UpkeepPlan $plan): array
    {
        $from = $to = null;
        foreach ($plan->doings as $one) {
            if ($from === null || $to === null) {
                [$from, $to] = [$one->start, $one->end()];
            } elseif ($one->start - $to <= self::TOGETHER) {
                $to = max($to, $one->end());
            }
        }

        return $from === null || $to === null
            ? [null, null]
            : [max($plan->now, intdiv($from, 900) * 900), (intdiv($to, 900) + 1) * 900];
    }

    private static function at(int $at, int $now, ?int $from, ?int $to, int $end): float
    {
        if ($from === null || $to === null) {
            return self::LEFT + ((self::RIGHT - self::LEFT) * ($at - $now)) / max(1, $end - $now);
        }

        return match (true) {
            $at <= $from => self::LEFT + ((self::DIG - self::LEFT) * ($at - $now)) / max(1, $from - $now),
            $at <= $to => self::DIG + ((self::DUG - self::DIG) * ($at - $from)) / max(1, $to - $from),
            default => self::DUG + (self::RIGHT - self::DUG) * min(1, ($at - $to) / max(1, $end - $to)),
        };
    }

    /**
     * @param  list<array{x: float, width: float, texture: int}>  $busy
     * @param  callable(int): float  $x
     */
    private static function lane(Doing $doing, float $y, array $busy, callable $x, DateTimeZone $zone): Lane
    {
        $time = (new DateTimeImmutable("@{$doing->start}"))->setTimezone($zone);
        $minutes = (int) ceil($doing->box->seconds() / 60);
        $a = $x($doing->start);
        $b = max($a + 7, $x($doing->end()));
        $says = $time->format($a < self::DUG - 1 ? 'H:i' : 'D H:i')." · {$minutes} min";
        $wide = mb_strlen($says) * self::LETTER + 10;

        return new Lane(
            $doing->box->name,
            $y,
            $busy,
            $a,
            $b,
            $doing->box->restart > 0 ? max($a + 3, min($b - 2, $x($doing->restarts()))) : null,
            $says,
            // Behind its bar, or before it where there is no room.
            $b + 6 + $wide <= self::RIGHT ? $b + 6 : max(self::LEFT, $a - 6 - $wide),
        );
    }

    /**
     * @param  callable(int): float  $x
     * @return list<array{x: float, label: string}> midnights behind what is dug open, as far as their words have room
     */
    private static function days(int $now, int $end, int $after, DateTimeZone $zone, callable $x): array
    {
        $days = [];
        $day = (new DateTimeImmutable("@{$now}"))->setTimezone($zone)->setTime(0, 0)->modify('+1 day');
        $last = -1000.0;
        // A day of the week alone where the days stand close.
        $form = $x($after + 2 * 86400) - $x($after + 86400) >= 54 ? 'D j' : 'D';
        for (; $day->getTimestamp() < $end; $day = $day->modify('+1 day')) {
            $at = $x($day->getTimestamp());
            if (
                $day->getTimestamp() >= $after &&
                $at - $last >= 30 &&
                $at <= self::RIGHT - ($form === 'D' ? 26 : 50)
            ) {
                $days[] = ['x' => $at, 'label' => $day->format($form)];
                $last = $at;
            }
        }

        return $days;
    }

    /**
     * @param  callable(int): float  $x
     * @return list<array{x: float, label: string}>
     */
    private static function clock(int $from, int $to, DateTimeZone $zone, callable $x): array
    {
        $step = 14400;
        foreach ([7200, 3600, 1800, 900, 600] as $finer) {
            $step = ((self::DUG - self::DIG) * $finer) / max(1, $to - $from) >= 50 ? $finer : $step;
        }
        $marks = [];
        for ($at = intdiv($from + $step - 1, $step) * $step; $at <= $to; $at += $step) {
            if ($x($at) <= self::DUG - 36) {
                $marks[] = [
                    'x' => $x($at),
                    'label' => (new DateTimeImmutable("@{$at}"))->setTimezone($zone)->format('H:i'),
                ];
            }
        }

        return $marks;
    }

    private static function cut(string $text, float $room): string
    {
        $letters = (int) floor($room / self::LETTER);

        return mb_strlen($text) <= $letters ? $text : rtrim(mb_substr($text, 0, $letters - 1)).'…';
    }
}
