<?php

declare(strict_types=1);

use Burrow\Household\BoxReport;
use Burrow\Household\DoorState;
use Burrow\Household\HeldJob;
use Burrow\Household\Reported;
use Burrow\Upkeep\Plan\UpkeepFile;
use Burrow\Upkeep\Round\Evidence;
use Burrow\Upkeep\Round\Round;
use Burrow\Upkeep\Round\Route;
use Burrow\Upkeep\Round\Stop;
use Burrow\Upkeep\Round\StopState;

// The plan of upkeep carried out: one box at a time, and the next only when the one before works again.

/** A plan of boxes that need each other in a row. */
function planOf(string ...$names): Burrow\Upkeep\Plan\UpkeepPlan
{
    $boxes = [];
    foreach ($names as $at => $name) {
        $boxes[] = [
            'name' => $name,
            'minutes' => 10,
            'restart_minutes' => 1,
            'check_minutes' => 2,
            'needs' => $at === 0 ? [] : [$names[$at - 1]],
            'windows' => [],
            'absent' => false,
            'exposed' => false,
            'age_days' => 40,
        ];
    }

    return UpkeepFile::made([
        'now' => strtotime('2026-11-25 10:00 UTC'),
        'zone' => 'UTC',
        'days' => 7,
        'apart' => [],
        'busy' => [],
        'boxes' => $boxes,
    ])[0];
}

const OPEN = DoorState::Open;
const SHUT = DoorState::Refused;
const STILL = DoorState::Silent;

test(
    'boxes come in the order of the plan, and what one answered before has to be back before the next',
    function (): void {
        $round = Round::of(planOf('sieve', 'culvert'), 1000);
        expect(array_column($round->stops, 'box'))->toBe(['sieve', 'culvert']);
        expect($round->against([22 => STILL, 53 => STILL])->codes())
            ->toBe(['upkeep.absent_for_round'])
            ->and($round->against([])->codes())
            ->toBe(['upkeep.absent_for_round'])
            ->and($round->against([22 => SHUT, 53 => STILL])->codes())
            ->toBe([]);
        $round = $round->begin('sieve', [22 => OPEN, 53 => OPEN, 80 => SHUT], true, 1010);
        expect($round->current()?->state)
            ->toBe(StopState::Begun)
            ->and($round->missing([22 => OPEN, 53 => OPEN], true)->codes())
            ->toBe([])
            ->and($round->missing([22 => OPEN, 53 => SHUT], true)->codes())
            ->toBe(['upkeep.not_back_yet'])
            ->and($round->missing([22 => OPEN], false)->codes())
            ->toBe(['upkeep.not_back_yet', 'upkeep.names_not_back'])
            ->and($round->missing([22 => OPEN, 53 => STILL], true)->list[0]->found)
            ->toBe('Port 53 of sieve answered before and does not now.');
        expect(fn () => $round->begin('culvert', [22 => OPEN], false, 1020))->toThrow(
            InvalidArgumentException::class,
        );
        $round = $round->over('sieve', '3 packages', 1100);
        expect($round->current()?->box)
            ->toBe('culvert')
            ->and($round->against([22 => OPEN])->codes())
            ->toBe([]);
        expect(fn () => $round->over('culvert', 'x', 1110))->toThrow(InvalidArgumentException::class);
        expect($round->isOver())->toBeFalse();
        $round = $round->leave('culvert', 'somebody works there', 1200);
        expect($round->isOver())->toBeTrue()->and($round->current())->toBeNull();
    },
);

test('whoever needs one that was left out is told so', function (): void {
    $round = Round::of(planOf('sieve', 'culvert'), 1)->leave('sieve', 'no time', 2);
    expect($round->against([22 => OPEN])->codes())
        ->toBe(['upkeep.needs_left_out'])
        ->and($round->against([22 => OPEN])->blocks())
        ->toBeFalse();
});

test('a round is kept and read as it was, and what is damaged is none', function (): void {
    $round = Round::of(planOf('a', 'b', 'c'), 1)
        ->begin('a', [22 => OPEN, 53 => SHUT], true, 2)
        ->over('a', 'done', 3)
        ->leave('b', 'why', 4)
        ->begin('c', [], false, 5);
    $kept = json_decode((string) json_encode($round->toArray()), true);
    expect(Round::from($kept))->toEqual($round);
    foreach (
        [
            null,
            5,
            'x',
            [],
            ['began' => 1],
            ['began' => 1, 'stops' => []],
            ['began' => 'a', 'stops' => [1]],
            ['began' => 1, 'stops' => [['box' => 3]]],
        ] as $damaged
    ) {
        expect(Round::from($damaged))->toBeNull();
    }
    $bent = $kept;
    $bent['stops'][0]['state'] = 'burnt';
    $bent['stops'][0]['before'] = ['22' => 'ajar', '80' => 7];
    $bent['stops'][1]['needs'] = 'a';
    $read = Round::from($bent);
    expect($read?->stops[0]->state)
        ->toBe(StopState::Waiting)
        ->and($read?->stops[0]->before)
        ->toBe([]);
});

test(
    'never two at once, and never a box before those that it needs, in any round that somebody plays',
    function (int $seed): void {
        mt_srand($seed);
        $names = ['a', 'b', 'c', 'd', 'e'];
        $round = Round::of(planOf(...$names), 0);
        $works = [];
        for ($now = 1; ! $round->isOver() && $now < 200; $now++) {
            $stop = $round->current();
            $begun = array_filter($round->stops, fn ($one): bool => $one->state === StopState::Begun);
            expect(count($begun))->toBeLessThan(2);
            $doors = [22 => mt_rand(0, 3) > 0 ? OPEN : STILL];
            if ($stop->state === StopState::Waiting) {
                if (mt_rand(0, 5) === 0) {
                    $round = $round->leave($stop->box, 'so', $now);
                } elseif (! $round->against($doors)->blocks()) {
                    $against = $round->against($doors)->codes();
                    expect($against === [])->toBe(array_diff($stop->needs, $works) === []);
                    $round = $round->begin($stop->box, $doors, false, $now);
                }
            } elseif (! $round->missing($doors, false)->blocks()) {
                expect($doors[22])->toBe(OPEN);
                $round = $round->over($stop->box, 'done', $now);
                $works[] = $stop->box;
            }
        }
        expect($round->isOver())->toBeTrue();
    },
)->with([1, 2, 3, 4, 5, 6]);

test('each school is brought up to date by its own route, quoted for the shell', function (): void {
    $job = dweller('hub', job: 'automation-hub')->jobs[0]->job;
    $container = Route::of(new HeldJob($job, 'container'), [
        'image' => "x/y:1 '; rm",
        'service' => 'hub',
        'engine' => 'podman',
    ]);
    expect($container?->command)
        ->toContain("sudo podman pull 'x/y:1 '\\''; rm'")
        ->toContain('sudo systemctl restart box-hub')
        ->and(Route::of(new HeldJob($job, 'container'), []))
        ->toBeNull()
        ->and(Route::of(new HeldJob($job, 'source'), [])?->command)
        ->toContain('git pull --ff-only')
        ->and(Route::of(new HeldJob($job, 'appliance'), [])?->command)
        ->toBe('')
        ->and(Route::of(new HeldJob($job, 'package'), []))
        ->toBeNull();
    foreach (
        [Route::packages(), Route::restart(), $container, Route::of(new HeldJob($job, 'source'), [])] as $route
    ) {
        $file = scratch().'/route.sh';
        file_put_contents($file, "#!/bin/bash\n{$route->command}\n");
        expect(run("shellcheck --severity=warning --exclude=SC2164 {$file}")['all'])->toBe('');
    }
});

test(
    'hours that went by are told, and what is left is planned anew without what is finished',
    function (): void {
        $round = Round::of(planOf('a', 'b', 'c'), 0);
        $at = $round->stops[0]->planned;
        expect([$round->isMissed($at), $round->isMissed($at + 43_200), $round->isMissed($at + 43_201)])->toBe(
            [false, false, true],
        );
        $round = $round->begin('a', [22 => OPEN], false, $at);
        // What is under way is not missed, however long it takes.
        expect($round->isMissed($at + 1_000_000))->toBeFalse();
        $round = $round->over('a', 'done', $at + 60)->replanned(planOf('c', 'a', 'd'));
        expect(array_map(fn ($one): array => [$one->box, $one->state], $round->stops))->toBe([
            ['a', StopState::Over],
            ['c', StopState::Waiting],
            ['d', StopState::Waiting],
        ]);
    },
);

test(
    'a box of which nothing was open before is back when it refuses again, and not while it is silent',
    function (): void {
        $round = Round::of(planOf('a'), 0)->begin('a', [22 => SHUT], false, 1);
        expect($round->missing([22 => SHUT], false)->codes())
            ->toBe([])
            ->and($round->missing([22 => STILL], false)->codes())
            ->toBe(['upkeep.absent_for_round'])
            ->and($round->missing([], false)->codes())
            ->toBe(['upkeep.absent_for_round']);
    },
);

test('only a report that came since tells what came of it', function (): void {
    $began = (new DateTimeImmutable(THREE_O_CLOCK))->getTimestamp();
    $told = fn (int $after, ?int $uptime, ?array $pending, ?bool $restart): Reported => new Reported(
        'larder',
        new DateTimeImmutable('@'.($began + $after)),
        new BoxReport(uptimeSeconds: $uptime, restart: $restart, pending: $pending),
    );
    expect(Evidence::of(null, $began)->words)
        ->toBe('')
        ->and(Evidence::of($told(-60, 10, [], false), $began)->words)
        ->toBe('')
        ->and(Evidence::of($told(600, 300, [], false), $began))
        ->words->toBe('its report shows nothing that waits, it was started again')
        ->startedAt->toBe($began + 300)
        // It started a second before it was begun: that was another start.
        ->and(Evidence::of($told(600, 601, [], false), $began))
        ->words->toBe('its report shows nothing that waits')
        ->startedAt->toBeNull()
        ->and(Evidence::of($told(600, 600, null, null), $began)->startedAt)
        ->toBe($began);
    $open = Evidence::of($told(600, 90_000, ['openssl', 'libc6'], true), $began);
    expect($open->words)
        ->toBe('its report shows 2 that wait still, it asks for a restart still')
        ->and($open->findings->codes())
        ->toBe(['upkeep.still_waiting', 'upkeep.not_started_again'])
        ->and($open->findings->blocks())
        ->toBeFalse()
        // A restart that was made is not asked for again, whatever the flag of that minute says.
        ->and(Evidence::of($told(600, 20, [], true), $began)->findings->codes())
        ->toBe([]);
});

test('a stop that was kept damaged is none', function (mixed $kept, bool $is): void {
    expect(Stop::from($kept) !== null)->toBe($is);
})->with([
    ['x', false],
    [[], false],
    [['box' => 'larder'], false],
    [['planned' => 5], false],
    [['box' => 5, 'planned' => 5], false],
    [['box' => 'larder', 'planned' => '5'], false],
    [['box' => 'larder', 'planned' => 5], true],
]);

test('a report of the moment in which a box was begun counts', function (int $after, bool $counts): void {
    $began = (new DateTimeImmutable(THREE_O_CLOCK))->getTimestamp();
    $told = new Reported(
        'larder',
        (new DateTimeImmutable(THREE_O_CLOCK))->modify("{$after} seconds"),
        new BoxReport(uptimeSeconds: 0, pending: []),
    );
    expect([Evidence::of($told, $began)->words !== '', Evidence::of($told, $began)->startedAt])->toBe(
        $counts ? [true, $began + $after] : [false, null],
    );
})->with([[-1, false], [0, true], [1, true]]);
