<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Household\Kept;
use App\View\Pages;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Care\CareCalendar;
use Burrow\Upkeep\Care\CareDue;
use Burrow\Upkeep\Draw\WeekPicture;
use Burrow\Upkeep\Due;
use Burrow\Upkeep\Plan\HousePlan;
use Burrow\Upkeep\Plan\UpkeepPlan;

/** What the page of upkeep shows: what is due, and when in the coming week it would be done. */
final readonly class UpkeepPage
{
    private const CARES = 60;

    /**
     * @param  list<CareDue>  $cares  what is due beside updates, the soonest first
     * @param  array<int, Due>  $dues  those of one page, by the box's id
     * @param  int  $of  dues of all pages
     * @param  array<string, string>  $because  by box: why it comes when it does
     * @param  list<Hours>  $hours
     */
    private function __construct(
        public array $cares,
        public array $dues,
        public int $of,
        public int $late,
        public ?UpkeepPlan $plan,
        public ?WeekPicture $picture,
        public array $because,
        public array $hours,
    ) {
    }

    /** As it was worked out since the last change. */
    public static function kept(Kept $kept, string $through, int $page): self
    {
        return $kept->of(
            "upkeep {$page} {$through}",
            self::class,
            fn (): self => self::of(app(Household::class), $through ?: null, $page),
        );
    }

    private static function of(Household $house, ?string $through, int $page): self
    {
        $dues = Calendar::of($house);
        $plan = HousePlan::of($house, $through);

        return new self(
            array_slice(CareCalendar::of($house), 0, self::CARES),
            array_slice($dues, ($page - 1) * Pages::SHEETS, Pages::SHEETS, true),
            count($dues),
            count(array_filter($dues, fn (Due $due): bool => $due->isOverdue())),
            $plan,
            $plan === null ? null : WeekPicture::of($house, $plan),
            $plan === null ? [] : self::because($plan, $through),
            $house->hours(),
        );
    }

    /** @return array<string, string> */
    private static function because(UpkeepPlan $plan, ?string $through): array
    {
        $because = $done = [];
        foreach ($plan->doings as $one) {
            $before = array_values(array_intersect($one->box->needs, $done));
            $apart = array_values(array_intersect($one->box->apart, $done));
            $because[$one->box->name] = match (true) {
                $one->box->name === $through => 'last, because you work through it; keep a second login open until then',
                $before !== [] => 'once '.
                    implode(' and ', $before).
                    ($before === [$before[0]] ? ' does' : ' do').
                    ' its work again',
                $apart !== [] => 'never in one evening with '.implode(' or ', $apart),
                default => '',
            };
            $done[] = $one->box->name;
        }

        return $because;
    }
}
