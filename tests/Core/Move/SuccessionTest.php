<?php

declare(strict_types=1);

use Burrow\Household\Box;
use Burrow\Household\BoxParts;
use Burrow\Household\Stage;
use Burrow\Move\Known;
use Burrow\Move\Succession;
use Burrow\Net\Ipv4;
use Burrow\Quantity\Bytes;

// One box takes another one's place.

/** A box that stands at an address. */
function heir(string $name, string $address, mixed ...$with): Box
{
    return dweller($name, ...['stage' => Stage::InService, 'address' => Ipv4::parse($address), ...$with]);
}

/** What is judged of a move from hub to wren. */
function succession(Box $from, Box $to, array $house = [], Known $known = new Known()): Succession
{
    return Succession::of(household(...['boxes' => [$from, $to], ...$house]), $from, $to, $known, ['attic']);
}

test('two boxes that stand, and nothing speaks against it', function (): void {
    $one = succession(heir('hub', '172.22.8.12'), heir('wren', '172.22.8.16'));
    expect($one->findings->codes())
        ->toBe([])
        ->and($one->counted)
        ->toBe(['1 share attic']);
});

test('what is not up, silent or without an address is told before anything is taken off', function (): void {
    expect(
        succession(dweller('hub', stage: Stage::InService), heir('wren', '172.22.8.16'))->findings->codes(),
    )->toBe(['move.no_address_to_take']);
    expect(
        succession(heir('hub', '172.22.8.12'), dweller('wren', stage: Stage::Named))->findings->codes(),
    )->toContain('move.not_up_yet');
    expect(
        succession(
            heir('hub', '172.22.8.12'),
            heir('wren', '172.22.8.16', hearing: heard('2026-11-25 13:00')),
        )->findings->codes(),
    )->toBe(['move.new_one_silent']);
});

test(
    'who uses it is counted and named once, and what is another part is set side by side',
    function (): void {
        $one = succession(
            heir('hub', '172.22.8.12', parts: new BoxParts(board: 'flint', supply: 'usbc-15w')),
            heir('wren', '172.22.8.16', parts: new BoxParts(board: 'cobble', supply: 'usbc-15w')),
            [
                'dependsOn' => ['lantern' => ['hub', 'hub'], 'hub' => ['wren']],
            ],
            new Known(clients: ['desk', 'desk']),
        );
        expect($one->holders)
            ->toBe(['lantern', 'desk'])
            ->and($one->counted)
            ->toContain('2 machines that use it')
            ->and(array_column($one->parts, 'part'))
            ->toBe(['board'])
            ->and($one->findings->codes())
            ->toBe(['move.hangs_on_it']);
    },
);

test(
    'the house is without it while the data goes to the new one, and not while it is packed',
    function (): void {
        $times = Succession::times(Bytes::of(2_400_000_000));
        // 2.4 GB ÷ 8 MB/s = 300 s; ÷ 30 MB/s = 80 s; 15 min of hands.
        expect(array_map(fn (array $one): float => $one['takes']->seconds, $times))
            ->toBe([300.0, 80.0, 900.0, 80.0, 300.0])
            ->and(Succession::dark($times)->seconds)
            ->toBe(1280.0);
    },
);

test('each part is called as the shelf calls it, and one that nobody named is not known', function (): void {
    $one = succession(
        heir(
            'hub',
            '172.22.8.12',
            parts: new BoxParts(
                board: 'flint',
                supply: 'supply-3a',
                cable: 'usb-a-20awg',
                drive: 'something of its own',
            ),
        ),
        heir('wren', '172.22.8.16', parts: new BoxParts(board: 'cobble', card: 'a card of its own')),
    );
    $shelf = shelf();
    expect($one->parts)->toBe([
        [
            'part' => 'board',
            'from' => $shelf->boards['flint']->label,
            'to' => $shelf->boards['cobble']->label,
        ],
        ['part' => 'supply', 'from' => $shelf->supplies['supply-3a']->label, 'to' => 'not known'],
        ['part' => 'cable', 'from' => 'usb-a-20awg', 'to' => 'not known'],
        ['part' => 'card', 'from' => 'not known', 'to' => 'a card of its own'],
        ['part' => 'drive', 'from' => 'something of its own', 'to' => 'not known'],
    ]);
});

test('cases and coolers are called as the shelf calls them', function (): void {
    $shelf = shelf();
    $one = succession(
        heir(
            'hub',
            '172.22.8.12',
            parts: new BoxParts(case: 'vented', cooling: array_key_first($shelf->coolings)),
        ),
        heir('wren', '172.22.8.16', parts: new BoxParts(case: array_keys($shelf->cases)[1])),
    );
    $said = array_column($one->parts, null, 'part');
    expect(array_column($one->parts, 'to'))
        ->toContain($shelf->cases[array_keys($shelf->cases)[1]]->label)
        ->and(array_column($one->parts, 'from'))
        ->toContain($shelf->cases['vented']->label, array_values($shelf->coolings)[0]->label)
        ->and($said)
        ->toHaveCount(2);
});
