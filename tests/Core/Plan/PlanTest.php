<?php

declare(strict_types=1);

use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Bus;
use Burrow\Catalogue\Part\Cable;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\Circumstances;
use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Power\SupplyFit;
use Burrow\Plan\Power\Wire;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\Ethernet;
use Burrow\Plan\Speed\TunnelRate;
use Burrow\Plan\Usage;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;

// Ω per 1000 m of solid annealed copper at 20 °C, from the published tables to ASTM B258.
test('wire resistance agrees with the published table', function (int $gauge, float $ohmsPerKilometre): void {
    expect(Wire::ohmsPerMetre($gauge)->ohms * 1000)->toEqualWithDelta(
        $ohmsPerKilometre,
        $ohmsPerKilometre * 0.003,
    );
})->with([[18, 20.95], [20, 33.31], [22, 52.96], [24, 84.22], [26, 133.9], [28, 212.9], [30, 338.6]]);

test('wire diameter agrees with the published table', function (int $gauge, float $millimetres): void {
    expect(Wire::diameter($gauge) * 1000)->toEqualWithDelta($millimetres, 0.0006);
})->with([[20, 0.8118], [24, 0.5106], [28, 0.3211], [36, 0.127]]);

test('the formula is not stretched beyond its gauges', function (): void {
    expect(fn () => Wire::diameter(41))->toThrow(InvalidArgumentException::class);
});

// IEEE 802.3 frame with IPv4 and TCP: 1460 or 1448 of 1538 bytes.
test('Ethernet payload', function (): void {
    expect(Ethernet::payload(1000, Ethernet::PAYLOAD)->inMegabytes())
        ->toEqualWithDelta(118.661, 0.001)
        ->and(Ethernet::payload(1000)->inMegabytes())
        ->toEqualWithDelta(117.7, 0.05)
        ->and(Ethernet::payload(100)->inMegabytes())
        ->toEqualWithDelta(11.77, 0.005);
});

// Common practice, no source: a single-core board on its own Wi-Fi copies at 1 to 2 MB/s, fully busy.
test('the single-core board is limited by its processor', function (): void {
    $copy = CopyRate::of(plan('pebble', link: LinkKind::Wireless));
    expect($copy?->rate()->inMegabytes())
        ->toBeBetween(1.0, 2.0)
        ->and($copy?->limit()->name)
        ->toBe('processor');
});

// Common practice, no source: a quad-core board on Wi-Fi copies at 3 to 5 MB/s and is mostly idle.
test('the quad-core board on Wi-Fi is limited by the air', function (): void {
    $copy = CopyRate::of(plan('cobble', link: LinkKind::Wireless));
    expect($copy?->rate()->inMegabytes())
        ->toBeBetween(3.0, 5.0)
        ->and($copy?->limit()->name)
        ->toBe('Wi-Fi');
});

test('a bus that carries network and disk counts every byte twice', function (): void {
    $fast = board('cobble', ['links' => ['wired_mbit' => 1000]]);
    $copy = CopyRate::of(plan()->with(board: $fast));
    expect($copy?->limit()->name)
        ->toBe('shared USB 2 bus')
        ->and($copy?->rate()->inMegabytes())
        ->toBe(17.5);
});

test('a board with its own gigabit link is limited by the network', function (): void {
    $copy = CopyRate::of(plan());
    expect($copy?->limit()->name)
        ->toBe('network')
        ->and($copy?->rate()->inMegabytes())
        ->toEqualWithDelta(117.7, 0.1)
        ->and($copy?->next()->name)
        ->toBe('processor');
});

test('no disk or no such link means no rate', function (): void {
    expect(CopyRate::of(plan(drive: null)))
        ->toBeNull()
        ->and(CopyRate::of(plan('pebble')))
        ->toBeNull();
});

test('the working names every link and ends in the smallest', function (): void {
    $working = CopyRate::of(plan('cobble'))?->working();
    expect(array_map(fn ($line) => $line->name, $working->lines ?? []))
        ->toBe(['network', 'processor', 'shared USB 2 bus', 'disk', 'the smallest'])
        ->and($working?->result)
        ->toBe('11.8 MB/s')
        ->and($working?->source->label)
        ->toContain('802.3');
});

// Common practice: micro-USB boards want 2.5 A, USB-C boards 3 A; below that is a warning as long as the peak is
// covered, and a 1 A charger is refused.
test('supplies by class', function (string $board, string $supply, bool $fits): void {
    expect(SupplyFit::of(plan($board, $supply, 'stout-05m'))->findings()->blocks())->toBe(! $fits);
})->with([
    ['cobble', 'supply-2a5', true],
    ['cobble', 'charger-1a', false],
    ['flint', 'supply-3a', true],
    ['flint', 'supply-2a5', true],
    ['flint', 'charger-1a', false],
]);

test(
    'a thin cable sags below the threshold, a long thin one below what works at all, a stout one not',
    function (): void {
        $thin = SupplyFit::of(plan('flint', 'supply-3a', 'thin-2m'));
        $stout = SupplyFit::of(plan('flint', 'supply-3a', 'stout-05m'));
        expect($thin->findings()->codes())
            ->toContain('plan.voltage_breaks_down')
            ->and(SupplyFit::of(plan('cobble', 'supply-2a5', 'thin-1m'))->findings()->codes())
            ->toContain('plan.voltage_low')
            ->and($stout->findings()->codes())
            ->toContain('plan.voltage_fits')
            // 6.4 W at 5.1 V and 0.7 A for the disk, through 2 × 2 m of 28 AWG.
            ->and($thin->voltage()->volts)
            ->toEqualWithDelta(5.1 - (6.4 / 5.1 + 0.7) * 4 * 0.2129, 0.005);
    },
);

test('a thicker or shorter cable never lowers the voltage', function (): void {
    mt_srand(258);
    $base = plan();
    for ($i = 0; $i < 200; $i++) {
        $gauge = mt_rand(16, 30);
        $metres = mt_rand(1, 40) / 10;
        $at = fn (int $g, float $m): float => SupplyFit::of(
            $base->with(cable: new Cable('c', 'c', $g, $m, Money::of(0), 'USB')),
        )->voltage()->volts;
        expect($at($gauge - 1, $metres))
            ->toBeGreaterThanOrEqual($at($gauge, $metres))
            ->and($at($gauge, $metres / 2))
            ->toBeGreaterThanOrEqual($at($gauge, $metres));
    }
});

test('raising any link never lowers the rate', function (): void {
    mt_srand(802);
    $plan = plan();
    for ($i = 0; $i < 200; $i++) {
        $links = ['wired_mbit' => [10, 100, 1000][mt_rand(0, 2)], 'disk_mbyte' => mt_rand(5, 400)];
        $bus = [
            [
                'name' => 'bus',
                'mbyte' => mt_rand(5, 400),
                'carries' => mt_rand(0, 1) ? ['disk', 'wired'] : ['disk'],
            ],
        ];
        $rate = fn (array $changes): float => CopyRate::of(
            $plan->with(board: board('flint', $changes)),
        )?->rate()->bytesPerSecond ?? 0;
        $base = $rate(['links' => $links, 'buses' => $bus]);
        $faster = $bus;
        $faster[0]['mbyte'] *= 2;
        expect($rate(['links' => ['wired_mbit' => 10000] + $links, 'buses' => $bus]))
            ->toBeGreaterThanOrEqual($base)
            ->and($rate(['links' => $links, 'buses' => $faster]))
            ->toBeGreaterThanOrEqual($base);
    }
});

test('memory is judged in levels', function (int $mebibytes, string $code): void {
    $input = plan(job: 'automation-hub');
    $small = $input->with(board: board('flint', ['memory_mib' => $mebibytes]));
    expect(MemoryFit::of($small)->findings()->list[0]->code)->toBe($code);
})->with([
    [300, 'plan.memory_short'],
    [512, 'plan.memory_swaps'],
    [850, 'plan.memory_tight'],
    [1100, 'plan.memory_tight'],
    [4096, 'plan.memory_fits'],
]);

test('memory free is what is left of the board', function (): void {
    // 94 MiB (98 MB, common practice) for the system and 160 MiB for the job, of 4 GiB.
    expect(MemoryFit::of(plan())->spare())->toEqualWithDelta(1 - (94 + 160) / 4096, 1e-9);
});

test('the answer begins with its conclusion', function (): void {
    expect(PlanAnswer::to(plan())->sentence())
        ->toBe('Fits, with 94 % memory to spare; the network is the limit at 118 MB/s.')
        ->and(PlanAnswer::to(plan('cobble', 'charger-1a'))->sentence())
        ->toStartWith('Does not fit: the supply gives 1.00 A')
        ->and(PlanAnswer::to(plan('cobble', 'supply-2a5', 'thin-1m'))->sentence())
        ->toStartWith('Fits with a warning')
        ->and(PlanAnswer::to(plan('flint', 'supply-3a', 'thin-2m'))->sentence())
        ->toStartWith('Does not fit: only 3.44 V');
});

test('the gravest finding comes first and each has its advice', function (): void {
    $answer = PlanAnswer::to(plan('pebble', 'charger-1a', 'thin-2m', null));
    $ranks = array_map(fn ($finding) => $finding->severity->rank(), $answer->findings->list);
    $sorted = $ranks;
    rsort($sorted);
    expect($ranks)
        ->toBe($sorted)
        ->and($answer->findings->codes())
        ->toContain('plan.no_such_link', 'plan.no_disk', 'plan.supply_below_class')
        ->and(
            array_filter(
                $answer->findings->list,
                fn ($finding) => $finding->severity->rank() >= 2 && $finding->do === '',
            ),
        )
        ->toBe([]);
});

test('what links hang on which bus is read from the catalogue', function (): void {
    $buses = array_map(fn (Bus $bus): array => $bus->links, board('cobble')->buses);
    expect($buses)
        ->toBe([['wired', 'disk']])
        ->and(board('pebble'))
        ->toBeInstanceOf(BoardClass::class)
        ->and(board('pebble')->wiredMegabits)
        ->toBeNull();
});

test('a supply below the class of the board warns while the peak is covered', function (): void {
    expect(SupplyFit::of(plan('flint', 'supply-2a5', 'stout-05m'))->findings()->codes())
        ->toContain('plan.supply_below_class')
        ->and(SupplyFit::of(plan('flint', 'charger-1a'))->findings()->codes())
        ->toContain('plan.supply_too_weak');
});

test(
    'five-volt devices behind a higher inlet take less of it than they would at five volts',
    function (): void {
        // 38 W busy at 19.5 V; a disk of 0.7 A at 5 V is 3.5 W, over 0.9 of a converter 3.89 W, at 19.5 V 0.20 A.
        $plan = plan('old-laptop', 'brick-19v', 'fixed-15m', 'ssd-500');
        $without = SupplyFit::of($plan->with(drive: null))->peak()->amps;
        $drive = $plan->drive->starting->amps;
        expect($without)
            ->toEqualWithDelta(38 / 19.5, 1e-6)
            ->and(SupplyFit::of($plan)->peak()->amps - $without)
            ->toEqualWithDelta(($drive * 5) / (19.5 * 0.9), 1e-6);
    },
);

test(
    'power over the cable is what the weaker of both ends allows, with the loss of the part between',
    function (): void {
        $plan = plan('flint', 'poe-type-2', drive: null, case: 'open')->with(
            addOn: catalogue('addOn')['network-power'],
        );
        $type = $plan->poeType();
        $watts = SupplyFit::of($plan)->peak()->amps * $plan->supply->voltage->volts;
        $fits = SupplyFit::of($plan)->findings()->codes();
        expect($watts / 0.85 <= [1 => 12.95, 2 => 25.5][$type])->toBe(in_array('plan.poe_fits', $fits, true));
        // And nobody pays for a USB cable then.
        expect(
            array_filter(
                PartsList::of($plan)->parts,
                fn ($part): bool => str_starts_with($part->key, 'cable/'),
            ),
        )->toBe([]);
    },
);

test('the tunnel is no faster than the box\'s own link', function (): void {
    $plan = plan(
        'pebble',
        'supply-2a5',
        'stout-05m',
        null,
        LinkKind::Wireless,
        'tunnel-endpoint',
        'server-32',
    )->with(circumstances: new Circumstances(upMegabits: 900));
    $link = CopyRate::ofLink($plan);
    expect(TunnelRate::of($plan)->rate()->bytesPerSecond)->toBeLessThanOrEqual($link->bytesPerSecond);
    // What caps it stands in its working.
    $lines = array_column(
        json_decode(json_encode(TunnelRate::of($plan)->working()), true)['lines'],
        'result',
        'name',
    );
    expect($lines)->toHaveKey('link of the box')->and($lines['link of the box'])->toBe((string) $link);
});

test(
    'a machine that takes no card wants a drive, and a disk wants to hold what is copied',
    function (): void {
        $codes = fn (PlanInput $plan): array => PlanAnswer::to($plan)->findings->codes();
        expect($codes(plan('old-laptop', 'brick-19v', 'fixed-15m', null, job: 'general-server')))
            ->toContain('plan.nothing_to_start_from')
            ->and($codes(plan()->with(circumstances: new Circumstances(copy: Bytes::giga(600)))))
            ->toContain('plan.disk_too_small')
            ->and($codes(plan()->with(circumstances: new Circumstances(copy: Bytes::giga(400)))))
            ->not->toContain('plan.disk_too_small');
    },
);

test('a hub has as many sockets as it has', function (): void {
    $plugged = array_map(
        fn (int $n): Peripheral => new Peripheral("stick {$n}", 'USB-A', Amps::of(0.1), false),
        range(1, 9),
    );
    expect(PlanAnswer::to(plan()->with(plugged: $plugged))->findings->codes())->toContain('plan.hub_sockets');
    // As many as it has is not one too many: the disk of this plan hangs on it, too.
    foreach (range(1, 9) as $count) {
        $plan = plan()->with(plugged: array_slice($plugged, 0, $count));
        $hub = $plan->hub();
        $tooMany = $hub !== null && $hub->sockets > 0 && $count + 1 > $hub->sockets;
        expect([$count, in_array('plan.hub_sockets', PlanAnswer::to($plan)->findings->codes(), true)])->toBe([
            $count,
            $tooMany,
        ]);
    }
});

test(
    'nobody said from what: nothing is wrong with that; a desktop and a phone have a browser',
    function (): void {
        $codes = fn (string $client): array => Usage::findings(
            plan(job: 'print-host', drive: null)->with(circumstances: new Circumstances(client: $client)),
        )->codes();
        expect($codes(''))
            ->not->toContain('plan.client_not_served')
            ->and($codes('desktop'))
            ->not->toContain('plan.client_not_served')
            ->and($codes('television'))
            ->toContain('plan.client_not_served');
    },
);
