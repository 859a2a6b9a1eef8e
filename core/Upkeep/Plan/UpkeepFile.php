<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\TimeZone;
use Burrow\Text\Moment;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;
use DateTimeZone;

/**
 * What is due, described in a text, made into a plan.
 *
 * @phpstan-type Window array{days?: list<string>, from: string, to: string, what?: string, boxes?: list<string>}
 * @phpstan-type Described array{name: string, minutes: int|float, restart_minutes?: int|float, check_minutes?: int|float, needs?: list<string>, windows?: list<Window>, absent?: bool, security?: bool, exposed?: bool, age_days?: int|float}
 */
final class UpkeepFile
{
    private const DAYS = 14;

    private const CHECK = 2;

    private const ABSENT = 'it is not on; it falls due when it appears';

    /** @var list<Finding> */
    private array $found = [];

    private function __construct(private readonly YamlLines $lines, private readonly string $name)
    {
    }

    /** @return array{?UpkeepPlan, Findings} null when something in the text stops it */
    public static function read(string $values, string $schema, string $name): array
    {
        $entry = YamlEntry::read($values, $schema, $name, TextBudget::paste(), lines: true);
        if ($entry->data === null) {
            return [null, $entry->findings];
        }
        $file = new self(new YamlLines($values), $name);
        /** @var array{now: int|string, zone?: string, days?: int, work_through?: string, apart?: list<list<string>>, busy?: list<Window>, boxes: list<Described>} $data */
        $data = $entry->data;

        return $file->plan($data);
    }

    /**
     * The same from values that were made, and not typed.
     *
     * @param  array{now: int|string, zone?: string, days?: int, work_through?: string, apart?: list<list<string>>, busy?: list<Window>, boxes: list<Described>}  $data
     * @return array{?UpkeepPlan, Findings}
     */
    public static function made(array $data): array
    {
        return (new self(new YamlLines(''), 'the record'))->plan($data);
    }

    /**
     * @param  array{now: int|string, zone?: string, days?: int, work_through?: string, apart?: list<list<string>>, busy?: list<Window>, boxes: list<Described>}  $data
     * @return array{?UpkeepPlan, Findings}
     */
    private function plan(array $data): array
    {
        $zone =
            TimeZone::isKnown($data['zone'] ?? 'UTC') || ($data['zone'] ?? 'UTC') === 'UTC'
                ? new DateTimeZone($data['zone'] ?? 'UTC')
                : null;
        $zone ?? ($this->found[] = UpkeepPlanFindings::notAZone($data['zone'] ?? '', $this->at('zone')));
        $now = Moment::tryParse($data['now']);
        $now ?? ($this->found[] = UpkeepPlanFindings::notATime((string) $data['now'], $this->at('now')));
        $names = [];
        foreach ($data['boxes'] as $i => $box) {
            if (isset($names[$box['name']])) {
                $this->found[] = UpkeepPlanFindings::boxTwice($box['name'], $this->at('boxes', $i));
            }
            $names[$box['name']] = $i;
        }
        foreach ($data['boxes'] as $i => $box) {
            foreach ($box['needs'] ?? [] as $need) {
                isset($names[$need]) ||
                    ($this->found[] = UpkeepPlanFindings::noSuchBox($need, $this->at('boxes', $i, 'needs')));
            }
        }
        foreach ($data['apart'] ?? [] as $i => $group) {
            foreach ($group as $one) {
                isset($names[$one]) ||
                    ($this->found[] = UpkeepPlanFindings::noSuchBox($one, $this->at('apart', $i)));
            }
        }
        $through = $data['work_through'] ?? null;
        if ($through !== null && ! isset($names[$through])) {
            $this->found[] = UpkeepPlanFindings::noSuchBox($through, $this->at('work_through'));
        }
        $circle = self::circle($data['boxes']);
        $circle === [] || ($this->found[] = UpkeepPlanFindings::circle($circle));
        if (Findings::of(...$this->found)->blocks() || $zone === null || $now === null) {
            return [null, Findings::of(...$this->found)];
        }
        $end = $now + ($data['days'] ?? self::DAYS) * 86400;
        [$due, $left] = $this->due($data, $now, $end, $zone);
        [$doings, $without] = (new Solver($due, $through, $now))->plan();
        foreach ($without as $box) {
            $longest = $box->allowed->longest();
            $left[] = [
                'box' => $box->name,
                'why' => $longest < $box->seconds()
                        ? 'it takes '.
                            (int) ceil($box->seconds() / 60).
                            ' minutes, and its longest window has '.
                            intdiv($longest, 60)
                        : 'the others before it leave no window in these '.
                            ($data['days'] ?? self::DAYS).
                            ' days',
            ];
        }
        foreach (array_filter($left, fn (array $one): bool => $one['why'] !== self::ABSENT) as $one) {
            $this->found[] = UpkeepPlanFindings::doesNotFit($one['box'], $one['why']);
        }
        $findings = Findings::of(...$this->found);

        return [new UpkeepPlan($now, $doings, $left, $due, $findings), $findings];
    }

    /**
     * @param  array{apart?: list<list<string>>, busy?: list<Window>, boxes: list<Described>}  $data
     * @return array{list<DueBox>, list<array{box: string, why: string}>}
     */
    private function due(array $data, int $now, int $end, DateTimeZone $zone): array
    {
        $busy = [];
        foreach ($data['busy'] ?? [] as $window) {
            $spans = self::spans($window, $now, $end, $zone);
            foreach (self::providers($window['boxes'] ?? [], $data['boxes']) as $name) {
                $busy[$name] = isset($busy[$name]) ? $busy[$name]->and($spans) : $spans;
            }
        }
        $apart = [];
        foreach ($data['apart'] ?? [] as $group) {
            foreach ($group as $one) {
                $apart[$one] = array_values(
                    array_unique([...$apart[$one] ?? [], ...array_diff($group, [$one])]),
                );
            }
        }
        $due = $left = [];
        foreach ($data['boxes'] as $box) {
            if ($box['absent'] ?? false) {
                $left[] = ['box' => $box['name'], 'why' => self::ABSENT];
                $this->found[] = UpkeepPlanFindings::absent($box['name']);

                continue;
            }
            $allowed = ($box['windows'] ?? []) === [] ? Spans::of([[$now, $end]]) : Spans::of([]);
            foreach ($box['windows'] ?? [] as $window) {
                $allowed = $allowed->and(self::spans($window, $now, $end, $zone));
            }
            $due[] = new DueBox(
                $box['name'],
                (int) round(60 * $box['minutes']),
                (int) round(60 * ($box['restart_minutes'] ?? 0)),
                (int) round(60 * ($box['check_minutes'] ?? self::CHECK)),
                $box['needs'] ?? [],
                isset($busy[$box['name']]) ? $allowed->without($busy[$box['name']]) : $allowed,
                new Risk(
                    $box['exposed'] ?? false,
                    $box['security'] ?? false,
                    (float) ($box['age_days'] ?? 0),
                ),
                $apart[$box['name']] ?? [],
            );
        }

        return [$due, $left];
    }

    /** @param  Window  $window */
    private static function spans(array $window, int $now, int $end, DateTimeZone $zone): Spans
    {
        return Spans::weekly($window['days'] ?? [], $window['from'], $window['to'], $now, $end, $zone);
    }

    /**
     * Boxes and all that they need, and what those need.
     *
     * @param  list<string>  $of
     * @param  list<Described>  $boxes
     * @return list<string>
     */
    private static function providers(array $of, array $boxes): array
    {
        $needs = array_column($boxes, 'needs', 'name');
        $all = [];
        while ($of !== []) {
            $one = array_pop($of);
            if (! isset($all[$one])) {
                $all[$one] = true;
                $of = [...$of, ...$needs[$one] ?? []];
            }
        }

        return array_map(strval(...), array_keys($all));
    }

    /**
     * Boxes that need one another round in a circle; empty when there is none.
     *
     * @param  list<Described>  $boxes
     * @return list<string>
     */
    private static function circle(array $boxes): array
    {
        $needs = array_column($boxes, 'needs', 'name');
        $left = array_fill_keys(array_column($boxes, 'name'), true);
        do {
            $free = array_filter(
                array_keys($left),
                fn (string|int $name): bool => array_filter(
                    $needs[$name] ?? [],
                    fn (string $one): bool => isset($left[$one]) && $one !== (string) $name,
                ) === [],
            );
            foreach ($free as $name) {
                unset($left[$name]);
            }
        } while ($free !== []);

        return array_map(strval(...), array_keys($left));
    }

    private function at(string|int ...$path): Place
    {
        return Place::file($this->name, $this->lines->locate(array_values($path)));
    }
}
