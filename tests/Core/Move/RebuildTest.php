<?php

declare(strict_types=1);

use Burrow\Household\BoxParts;
use Burrow\Household\Copying;
use Burrow\Move\Known;
use Burrow\Move\Rebuild;
use Burrow\Net\Ipv4;

// What if a box died tonight?

/** Larder, which keeps files and which lantern needs, with what is known of it. */
function lost(Known $known, array $copyings, array $with = []): Rebuild
{
    $larder = dweller(
        'larder',
        ...[
            'job' => 'file-store',
            'parts' => new BoxParts(board: 'flint'),
            'address' => Ipv4::parse('172.22.8.11'),
            ...$with,
        ],
    );
    $house = household(
        [$larder, dweller('lantern')],
        openings: $with['openings'] ?? [],
        dependsOn: ['lantern' => ['larder']],
        told: ['copyings' => $copyings],
    );

    return Rebuild::of($house, $larder, $known);
}

function copyKept(mixed ...$with): Copying
{
    return new Copying(
        ...[
            'id' => 1,
            'box' => 'larder',
            'name' => 'seeds',
            'to' => 'dewpoint',
            'elsewhere' => true,
            'encrypted' => true,
            'keyKept' => true,
            'ran' => new DateTimeImmutable('2026-11-25 02:00'),
            'tried' => new DateTimeImmutable('2026-10-20'),
            'worked' => true,
            ...$with,
        ],
    );
}

test('the time back is the sum of card, steps, waits, address, copies and clients', function (): void {
    $known = new Known(
        1800,
        1200,
        [],
        ['seeds' => ['bytes' => 30_000_000_000, 'rate' => 10e6, 'paths' => ['/srv']]],
        ['reading-desk', 'phone'],
    );
    $rebuild = lost($known, [copyKept()]);
    // 480 + 1800 + 180 + 2 × 120 by hand; 1200 and 3000 by themselves.
    expect($rebuild->hands->seconds)
        ->toBe(2700.0)
        ->and($rebuild->all->seconds)
        ->toBe(6900.0)
        ->and($rebuild->dark)
        ->toBe(['lantern loses names'])
        ->and($rebuild->findings->codes())
        ->toBe(['move.since_last_copy', 'move.could_be_back'])
        ->and($rebuild->findings->list[0]->found)
        ->toBe('What came since the last copy of seeds, 13 hours ago, would be gone.');
});

test('what does not come back is told, the gravest first', function (): void {
    expect(lost(new Known(), [])->findings->codes())
        ->toBe(['move.nothing_kept', 'move.could_be_back'])
        ->and(lost(new Known(), [copyKept(ran: null)])->findings->codes())
        ->toBe(['move.nothing_kept', 'move.could_be_back'])
        ->and(
            lost(
                new Known(answersMissing: ['Account']),
                [copyKept(worked: false)],
                ['parts' => new BoxParts()],
            )->findings->codes(),
        )
        ->toBe([
            'move.not_tried',
            'move.board_unknown',
            'move.since_last_copy',
            'move.answers_missing',
            'move.could_be_back',
        ]);
});

test('what is copied twice is brought back once, from where it is nearer', function (): void {
    $copies = [
        'away' => ['bytes' => 30_000_000_000, 'rate' => 1e6, 'paths' => ['/srv']],
        'seeds' => ['bytes' => 30_000_000_000, 'rate' => null, 'paths' => ['/srv', '/etc']],
    ];
    $rebuild = lost(new Known(copies: $copies), [copyKept(name: 'away'), copyKept(elsewhere: false)]);
    $back = array_values(
        array_filter($rebuild->steps, fn ($one): bool => str_starts_with($one->what, 'Bring')),
    );
    expect(array_map(fn ($one): array => [$one->what, $one->seconds], $back))->toBe([
        ['Bring seeds back', 1000.0],
    ]);
});

test('a copy of which nobody knows the size has no time', function (): void {
    $steps = lost(new Known(), [copyKept()])->steps;
    $back = array_values(array_filter($steps, fn ($one): bool => str_starts_with($one->what, 'Bring seeds')));
    expect($back[0]->seconds)->toBeNull()->and($back[0]->how)->toContain('dewpoint')->toContain('passphrase');
});
