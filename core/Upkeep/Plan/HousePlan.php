<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use Burrow\Catalogue\Shelf;
use Burrow\Household\Box;
use Burrow\Household\Dependency;
use Burrow\Household\HearingState;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Due;

/**
 * What is due in a house in the coming days, as the plan wants it: from the record of its boxes, what hangs on what,
 * and the rhythm of the house.
 *
 * @phpstan-import-type Window from UpkeepFile
 * @phpstan-import-type Described from UpkeepFile
 */
final class HousePlan
{
    /** Days to look ahead, and within which a box falls due to be in the plan. */
    public const DAYS = 7;

    /** Minutes of an update where nothing was measured, and until it is sure that all works (common practice). */
    private const UPDATE = 10;

    private const CHECK = 2;

    /** Seconds of a start beyond those until its network is up (common practice). */
    private const START = 60;

    /** Boxes of one plan. */
    private const MOST = 200;

    /**
     * @param  ?string  $through  the box through which whoever does it is logged in
     * @return array{now: int, zone: string, days: int, work_through?: string, apart: list<list<string>>, busy: list<Window>, boxes: list<Described>}
     */
    public static function described(Household $house, ?string $through): array
    {
        $due = array_slice(
            array_filter(Calendar::of($house), fn (Due $one): bool => $one->daysLeft <= self::DAYS),
            0,
            self::MOST,
            true,
        );
        $by = [];
        foreach ($house->standing() as $box) {
            $by[$box->id] = $box;
        }
        $boxes = $names = [];
        foreach (array_keys($due) as $id) {
            $names[$by[$id]->name] = true;
        }
        foreach ($due as $id => $one) {
            $boxes[] = self::box($house, $by[$id], $one, array_map(strval(...), array_keys($names)));
        }
        $data = [
            'now' => $house->now->getTimestamp(),
            'zone' => $house->now->getTimezone()->getName(),
            'days' => self::DAYS,
            'apart' => self::apart($house, $names),
            'busy' => self::busy($house, $names),
            'boxes' => $boxes,
        ];

        return $through !== null && isset($names[$through]) ? $data + ['work_through' => $through] : $data;
    }

    /** Null while nothing is due. */
    public static function of(Household $house, ?string $through): ?UpkeepPlan
    {
        $data = self::described($house, $through);

        return $data['boxes'] === [] ? null : UpkeepFile::made($data)[0];
    }

    /**
     * @param  list<string>  $names  of all that are due
     * @return Described
     */
    private static function box(Household $house, Box $box, Due $due, array $names): array
    {
        $needs = array_values(
            array_intersect(
                array_map(fn (Dependency $one): string => $one->on, $house->dependencies($box)),
                array_diff($names, [$box->name]),
            ),
        );
        $windows = array_values(
            array_filter(
                $house->hours(),
                fn (Hours $one): bool => $one->kind === Hours::WINDOW && $one->isOf($box->name),
            ),
        );

        return [
            'name' => $box->name,
            'minutes' => self::UPDATE,
            'restart_minutes' => self::restart($house->shelf, $box),
            'check_minutes' => self::CHECK,
            'needs' => $needs,
            'windows' => array_map(self::window(...), $windows),
            'absent' => $box->is(HearingState::Silent),
            'exposed' => $house->openings($box) !== [],
            'age_days' => max(0, (int) $due->last->diff($house->now)->days),
        ];
    }

    private static function restart(Shelf $shelf, Box $box): int
    {
        $board = $shelf->boards[$box->parts->board ?? ''] ?? null;

        return (int) ceil((($board?->networkAfter->seconds ?? self::START) + self::START) / 60);
    }

    /** @return Window */
    private static function window(Hours $hours): array
    {
        $window = ['from' => $hours->from, 'to' => $hours->to, 'what' => $hours->what];

        return $hours->days === [] ? $window : $window + ['days' => $hours->days];
    }

    /**
     * Boxes in use, and those that they need, whether they are due or not.
     *
     * @param  array<string, true>  $names
     * @return list<Window>
     */
    private static function busy(Household $house, array $names): array
    {
        $needs = [];
        foreach ($house->dependencies() as $one) {
            $needs[$one->box][] = $one->on;
        }
        $busy = [];
        foreach ($house->hours() as $hours) {
            $of = $hours->kind === Hours::BUSY ? ($hours->boxes ?: array_keys($names)) : [];
            $all = [];
            while ($of !== []) {
                $one = (string) array_pop($of);
                if (! isset($all[$one])) {
                    $all[$one] = true;
                    $of = [...$of, ...$needs[$one] ?? []];
                }
            }
            $all = array_map(strval(...), array_keys(array_intersect_key($all, $names)));
            $all === [] || ($busy[] = self::window($hours) + ['boxes' => $all]);
        }

        return $busy;
    }

    /**
     * Two that serve the whole house with the same are never away together.
     *
     * @param  array<string, true>  $names
     * @return list<list<string>>
     */
    private static function apart(Household $house, array $names): array
    {
        $by = [];
        foreach ($house->standing() as $box) {
            $what = isset($names[$box->name]) ? $box->servesAll() : '';
            $what === '' || ($by[$what][] = $box->name);
        }

        return array_values(array_filter($by, fn (array $all): bool => count($all) > 1 && count($all) <= 20));
    }

    private function __construct()
    {
    }
}
