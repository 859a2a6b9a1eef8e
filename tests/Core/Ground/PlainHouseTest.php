<?php

declare(strict_types=1);

use Burrow\Ground\PlainHouse;
use Burrow\Household\DoorState;
use Burrow\Household\Service;
use Burrow\Net\Port;
use Burrow\Net\Protocol;

// The house for whoever lives in it.

/** A TCP port of larder, and what was met there. */
function lookedAt(int $port, string $purpose, ?DoorState $met): Service
{
    return new Service('larder', Port::of($port), Protocol::Tcp, $purpose, $met);
}

test(
    'what is off comes first, and what only needs something that is off is not called on',
    function (): void {
        $plain = PlainHouse::of(
            household(
                boxes: [
                    dweller('dewpoint', job: 'automation-hub'),
                    dweller('lantern', job: 'media-library'),
                    dweller('larder', job: 'file-store', hearing: heard('2026-11-25 12:00')),
                    dweller('old', job: 'file-store', hearing: heard(asked: '2026-11-25 09:00')),
                ],
                dependsOn: ['lantern' => ['larder']],
            ),
        );
        expect(array_map(fn (array $one): array => [$one['box'], $one['on']], $plain->things))
            ->toBe([['lantern', false], ['larder', false], ['old', null], ['dewpoint', true]])
            ->and($plain->things[0]['words'])
            ->toContain('larder')
            ->and($plain->sentence())
            ->toBe('2 things are off or do not do their work.');
    },
);

test('it says that all is on only where all was looked at lately', function (
    array $boxes,
    string $said,
): void {
    expect(PlainHouse::of(household(boxes: $boxes))->sentence())->toBe($said);
})->with([
    [fn (): array => [], 'Nothing is set up yet.'],
    [
        fn (): array => [dweller('a', job: 'file-store')],
        'All boxes are on; not all that they do was looked at.',
    ],
    [
        fn (): array => [dweller('a', job: 'file-store', hearing: heard(asked: '2026-11-25 09:00'))],
        'Nobody looked lately.',
    ],
    [
        fn (): array => [
            dweller('a', job: 'file-store'),
            dweller('b', job: 'file-store', hearing: heard(asked: '2026-11-25 09:00')),
        ],
        'What was looked at is on.',
    ],
]);

test('names are the reason only where all that answer them are silent', function (): void {
    $words = fn (mixed ...$boxes): string => json_encode(PlainHouse::of(household(boxes: $boxes))->steps);
    $on = dweller('sieve', job: 'dns-filter');
    $off = dweller('sieve-2', job: 'dns-filter', hearing: heard('2026-11-25 12:00'));
    expect($words($off))
        ->toContain('enough to make the internet seem gone')
        ->and($words($on, $off))
        ->toContain('probably not the reason')
        ->not->toContain('was on when last asked')
        ->and($words($on))
        ->toContain('was on when last asked')
        ->and($words(dweller('larder', job: 'file-store')))
        ->not->toContain('behind names');
});

test('a box that is on is not yet what it does: its own port has to have been met', function (
    array $ports,
    ?bool $on,
    string $words,
): void {
    $plain = PlainHouse::of(
        household(boxes: [dweller('larder', job: 'file-store')], ports: ['larder' => $ports]),
    );
    expect([$plain->things[0]['on'], $plain->things[0]['words']])->toBe([$on, $words]);
})->with([
    'nobody asked' => [[], true, 'its box is on'],
    'only its login' => [[lookedAt(22, 'remote login', DoorState::Open)], true, 'its box is on'],
    'never looked at' => [[lookedAt(445, 'file share', null)], true, 'its box is on'],
    'open' => [[lookedAt(445, 'file share', DoorState::Open)], true, 'on'],
    'refused' => [
        [lookedAt(22, 'remote login', DoorState::Open), lookedAt(445, 'file share', DoorState::Refused)],
        false,
        'its box is on, and what it does for you does not answer',
    ],
]);

test('one port of a job that was met is enough, whichever was asked last', function (
    array $met,
    bool $on,
): void {
    $job = catalogue('job')['file-store'];
    $purpose = array_values(array_filter($job->ports, fn ($one): bool => $one->port->number !== 22))[0]
        ->purpose;
    $ports = array_map(
        fn (DoorState $one, int $at): Service => lookedAt(4000 + $at, $purpose, $one),
        $met,
        array_keys($met),
    );
    $plain = PlainHouse::of(household([dweller('larder', job: 'file-store')], ports: ['larder' => $ports]));
    expect($plain->things[0]['on'])->toBe($on);
})->with([
    [[DoorState::Open, DoorState::Silent], true],
    [[DoorState::Silent, DoorState::Open], true],
    [[DoorState::Silent, DoorState::Refused], false],
]);
