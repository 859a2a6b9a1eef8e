<?php

declare(strict_types=1);

use Burrow\Catalogue\CatalogueReader;
use Burrow\Catalogue\Part\Adapter;
use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\Kit;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\Market;
use Burrow\Catalogue\Part\SdBus;
use Burrow\Catalogue\Part\Usb;
use Burrow\Catalogue\Part\Wireless;
use Burrow\Catalogue\Shelf;
use Burrow\Household\BoxParts;
use Burrow\Household\HeldJob;
use Burrow\Judgement\Severity;
use Burrow\Plan\Circumstances;
use Burrow\Plan\Duty;
use Burrow\Plan\Fit\AddOnFit;
use Burrow\Plan\Fit\Availability;
use Burrow\Plan\Fit\DeskCheck;
use Burrow\Plan\Fit\ImageFit;
use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\Host;
use Burrow\Plan\Money\KitOffer;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanFile;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlanOfBox;
use Burrow\Plan\Power\BusBudget;
use Burrow\Plan\Power\Feed;
use Burrow\Plan\Power\Heat;
use Burrow\Plan\Power\MeasuredHeat;
use Burrow\Plan\Power\SharedSupply;
use Burrow\Plan\Power\SupplyFit;
use Burrow\Plan\SchoolChoice;
use Burrow\Plan\Seat;
use Burrow\Plan\Speed\Calibration;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\LineCopy;
use Burrow\Plan\Speed\MeasuredRate;
use Burrow\Plan\Speed\TunnelRate;
use Burrow\Plan\Time\ImageTime;
use Burrow\Plan\Time\InstallTime;
use Burrow\Plan\Ways\WaysOut;
use Burrow\Plan\Wear\DriveWear;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;

function hub(string $id = 'hub-4'): Adapter
{
    return catalogue('adapter')[$id];
}

function desk(mixed ...$but): DeskComputer
{
    return new DeskComputer(
        ...array_replace(
            [
                'name' => 'the desk',
                'system' => DeskSystem::Lsblk,
                'usbPlug' => 'USB-A',
                'cardSlot' => true,
                'localNames' => true,
                'loginClient' => true,
                'plainEditor' => true,
                'fileCopier' => true,
                'administrator' => true,
                'sleeps' => false,
                'restarts' => false,
                'hours' => 8.0,
                'watts' => 30.0,
            ],
            $but,
        ),
    );
}

test('what hangs on the USB sockets has a budget of its own', function (): void {
    // 1.0 A of a spinning disk that starts, 0.1 A printer, 0.4 A camera: more than the 1.2 A that the sockets give
    // together.
    $plan = plan('cobble', 'supply-5a', 'stout-05m', 'spin-1t', job: 'print-host', image: 'server-64-2023');
    $fed = $plan->with(hub: hub());
    expect(BusBudget::of($plan)->finding()->code)
        ->toBe('plan.bus_current')
        ->and(BusBudget::of($plan)->finding()->found)
        ->toContain('1.20 A')
        ->toContain('1.50 A')
        ->and(BusBudget::of($plan->with(drive: null))->finding()->code)
        ->toBe('plan.bus_fits')
        ->and(BusBudget::of($fed)->finding()->code)
        ->toBe('plan.bus_fits')
        ->and(SupplyFit::of($plan)->peak()->amps - SupplyFit::of($fed)->peak()->amps)
        ->toEqualWithDelta(1.5, 1e-9)
        ->and(SupplyFit::of($fed)->findings()->codes())
        ->not->toContain('plan.spinning_on_board')
        ->and(BusBudget::of(plan('marl', image: 'server-32'))->finding()->code)
        ->toBe('plan.bus_current')
        ->and(BusBudget::of(plan(drive: null, job: 'dns-filter'))->applies())
        ->toBeFalse();
});

test('a hub can be too weak as well', function (): void {
    $weak = new Adapter(
        'weak',
        'Weak hub',
        AdapterKind::Hub,
        '',
        '',
        4,
        Amps::of(0.5),
        0,
        SdBus::HighSpeed,
        hub()->price,
        new Market(),
    );
    expect(BusBudget::of(plan()->with(hub: $weak))->finding()->code)->toBe('plan.hub_current');
});

test(
    'a hub never raises what the supply must give, a device never lowers what the sockets must',
    function (): void {
        mt_srand(7);
        foreach (array_keys(catalogue('board')) as $board) {
            $drives = array_keys(catalogue('drive'));
            $plan = plan($board, drive: $drives[mt_rand(0, count($drives) - 1)], job: 'file-store');
            expect(SupplyFit::of($plan->with(hub: hub()))->peak()->amps)->toBeLessThanOrEqual(
                SupplyFit::of($plan)->peak()->amps,
            );
            $more = $plan->with(jobs: [...$plan->jobs, catalogue('job')['print-host']], hub: hub());
            expect(Burrow\Plan\Power\UsbDevices::of($more)->together()->amps)->toBeGreaterThan(
                Burrow\Plan\Power\UsbDevices::of($plan)->together()->amps,
            );
        }
    },
);

test('more devices than sockets call for a hub, and it counts in the sum', function (): void {
    $plan = plan('grit', 'supply-2a5', 'stout-05m', 'stick-64', LinkKind::UsbWired);
    $labels = array_map(fn ($part): string => $part->label, PartsList::of($plan)->parts);
    expect($plan->hub()?->id)
        ->toBe('hub-4')
        ->and($labels)
        ->toContain(
            'Powered USB hub, four sockets',
            'USB adapter with a network socket, 1000 Mb/s',
            'Adapter from micro-USB to a USB-A socket',
            'Network cable',
            'Adapter from mini to full video',
        )
        ->and(plan()->hub())
        ->toBeNull();
});

test('a network adapter shares the bus of the disk', function (): void {
    $copy = CopyRate::of(plan('grit', drive: 'ssd-500', link: LinkKind::UsbWired));
    $bus = array_values(array_filter($copy->chain ?? [], fn ($limit): bool => $limit->name === 'USB 2 bus'));
    // 35 MB/s, every byte twice.
    expect($bus[0]->rate->inMegabytes())
        ->toEqualWithDelta(17.5, 1e-9)
        ->and(ofParts(plan('grit', link: LinkKind::Wired))->codes())
        ->toContain('plan.no_such_link')
        ->and(ofParts(plan('grit', link: LinkKind::UsbWired))->codes())
        ->not->toContain('plan.no_such_link');
});

test('one supply for several boxes is a budget for each output and for all', function (): void {
    $plan = fn (string $supply, float ...$amps): PlanInput => plan(
        'lodestone',
        $supply,
        'stout-05m',
        null,
        job: 'dns-filter',
    )->with(along: array_map(fn (float $one): Feed => new Feed('box of '.$one, Amps::of($one)), $amps));
    expect(SharedSupply::of(plan()))
        ->toBeNull()
        ->and(SharedSupply::of($plan('outputs-4', 1.2))?->findings()->codes())
        ->toBe(['plan.supply_fails_together'])
        ->and(SharedSupply::of($plan('supply-5a', 1.2))?->findings()->codes())
        ->toBe(['plan.outputs_too_few', 'plan.supply_fails_together'])
        ->and(SharedSupply::of($plan('outputs-4', 2.5))?->findings()->codes())
        ->toBe(['plan.output_too_weak', 'plan.supply_fails_together'])
        ->and(SharedSupply::of($plan('outputs-4', 2.4, 2.4, 2.0))?->findings()->codes())
        ->toBe(['plan.supply_shared_too_weak', 'plan.supply_fails_together'])
        ->and(PlanAnswer::findings($plan('outputs-4', 2.5))->blocks())
        ->toBeTrue();
});

test('an add-on takes power over the network cable where the board cannot', function (): void {
    $board = plan('cobble', 'poe-type-1', drive: null, job: 'dns-filter');
    expect(SupplyFit::of($board)->findings()->codes())
        ->toContain('plan.poe_not_taken')
        ->and(SupplyFit::of($board->with(addOn: catalogue('addOn')['network-power']))->findings()->codes())
        ->toContain('plan.poe_fits');
});

test('an add-on wants its header, and room in the case', function (
    string $board,
    ?string $addOn,
    string $case,
    array $codes,
): void {
    expect(
        AddOnFit::findings(
            plan($board, job: 'audio-player', case: $case)->with(
                addOn: $addOn === null ? null : catalogue('addOn')[$addOn],
            ),
        )->codes(),
    )->toBe($codes);
})->with([
    ['flint', 'audio-analogue', 'vented', []],
    ['flint', 'audio-analogue', 'closed', ['plan.addon_case']],
    ['marl', 'audio-analogue', 'vented', ['plan.addon_header']],
    ['lodestone', 'audio-usb', 'closed', []],
    ['flint', null, 'closed', ['plan.built_in_audio']],
    ['marl', 'clock', 'vented', ['plan.built_in_audio']],
]);

// Common practice, no source: board 35, case 10, supply 5 to 8 is just over 50; with an outside converter at 100 about
// 150; an add-on converter 60.
test('the output chain of an audio player costs what it usually does', function (): void {
    $plan = fn (string $addOn): float => PartsList::of(
        plan(
            'cobble',
            'supply-2a5',
            'usual-1m',
            null,
            LinkKind::Wireless,
            'audio-player',
            case: 'closed',
        )->with(addOn: catalogue('addOn')[$addOn]),
    )->total()->cents / 100;
    expect($plan('audio-usb'))
        ->toBeBetween(150.0, 165.0)
        ->and($plan('audio-usb') - $plan('audio-analogue'))
        ->toBe(40.0);
});

test('who packed the image', function (ImageOrigin $from, ?string $code, ?Severity $severity): void {
    $found = array_values(
        array_filter(
            ImageFit::of(plan()->with(imageFrom: $from))->findings()->list,
            fn ($finding): bool => str_starts_with($finding->code, 'plan.image_'),
        ),
    );
    expect($found[0]->code ?? null)
        ->toBe($code)
        ->and($found[0]->severity ?? null)
        ->toBe($severity);
})->with([
    [ImageOrigin::Author, null, null],
    [ImageOrigin::Vouched, 'plan.image_vouched', Severity::Note],
    [ImageOrigin::Stranger, 'plan.image_from_stranger', Severity::Stop],
]);

test('images, schools and what is plugged in go together or do not', function (
    string $job,
    string $image,
    array $schools,
    array $codes,
): void {
    expect(
        ImageFit::of(plan('flint', job: $job, image: $image)->with(schools: new SchoolChoice($schools)))
            ->findings()
            ->codes(),
    )->toBe($codes);
})->with([
    'plain image, package' => ['dns-filter', 'server-64', [], []],
    'a wizard and no screen' => [
        'general-server',
        'desktop-wizard',
        [],
        ['plan.image_wizard', 'plan.plain_before_desktop'],
    ],
    'a desktop and no screen' => ['general-server', 'desktop-64', [], ['plan.plain_before_desktop']],
    'a wizard and a screen' => ['media-player', 'desktop-wizard', [], ['plan.school_wants_image']],
    'ready-made for both' => ['audio-player', 'appliance-64', [], []],
    'ready-made school on a plain image' => [
        'audio-player',
        'server-64',
        ['audio-player' => 'appliance'],
        ['plan.school_wants_image'],
    ],
    'ready-made image, packages' => [
        'audio-player',
        'appliance-64',
        ['audio-player' => 'package'],
        ['plan.image_brings_a_job'],
    ],
    'a second job on a ready-made image' => [
        'audio-player dns-filter',
        'appliance-64',
        [],
        ['plan.appliance_shared'],
    ],
    'the newest image without the camera' => ['print-host', 'server-64', [], ['plan.peripheral_unknown']],
    'an older one with it' => ['print-host', 'server-64-2023', [], []],
    'mixed bits' => ['dns-filter', 'server-mixed', [], ['plan.image_mixed_bits']],
    'mixed bits and containers' => [
        'dns-filter',
        'server-mixed',
        ['dns-filter' => 'container'],
        ['plan.image_mixed_bits', 'plan.school_64_bit'],
    ],
]);

test('a 64-bit kernel does not start a 32-bit board, whatever its programs', function (): void {
    expect(ImageFit::of(plan('pebble', image: 'server-mixed'))->findings()->codes())->toContain(
        'plan.image_bits',
    );
});

test('a school brings its own memory, disk and time', function (): void {
    $with = fn (string $school): PlanInput => plan(drive: null, job: 'dns-filter')->with(
        schools: new SchoolChoice(['dns-filter' => $school]),
    );
    expect(
        MemoryFit::of($with('container'))->needed()->count - MemoryFit::of($with('package'))->needed()->count,
    )
        ->toBe(60 * 1024 ** 2)
        ->and(InstallTime::of($with('package'))->hands()->seconds)
        ->toBe(30 * 60.0)
        ->and(InstallTime::of($with('container'))->waiting()->seconds)
        ->toBe(20 * 60.0)
        ->and($with('no such school')->school($with('package')->jobs[0])->id)
        ->toBe('package');
});

// Common practice: an hour to an hour and a quarter of building on a quad-core board.
test('building on the box goes with its speed', function (): void {
    $on = fn (string $board): InstallTime => InstallTime::of(
        plan($board, job: 'tv-recorder')->with(schools: new SchoolChoice(['tv-recorder' => 'source'])),
    );
    expect($on('cobble')->waiting()->seconds / 60)
        ->toBeBetween(60.0, 75.0)
        ->and($on('flint')->waiting()->seconds)
        ->toBeLessThan($on('cobble')->waiting()->seconds)
        ->and($on('cobble')->finding()->code)
        ->toBe('plan.install_time')
        ->and($on('marl')->finding()->code)
        ->toBe('plan.build_long');
});

test('a drive wears by what may be written to it', function (): void {
    $wear = fn (string $drive): ?DriveWear => DriveWear::of(plan(drive: $drive, job: 'tv-recorder'));
    $perDay = plan(job: 'tv-recorder')->writesPerDay()->count / 1e9;
    expect($wear('ssd-500')?->years())
        ->toEqualWithDelta(180000 / $perDay / 365.25, 1e-9)
        ->and($wear('stick-64')?->finding()->code)
        ->toBe('plan.drive_wears_out')
        ->and($wear('ssd-500')?->finding()->code)
        ->toBe('plan.drive_lasts')
        ->and($wear('spin-1t'))
        ->toBeNull();
});

test('a day\'s change and catching up after a trip', function (): void {
    $line = fn (float $daily, float $up = 10, float $far = 50, float $relay = 0): LineCopy => new LineCopy(
        plan(job: 'travelling-store')->with(
            circumstances: new Circumstances(
                upMegabits: $up,
                dailyChange: Bytes::giga($daily),
                awayDays: 10,
                farDownMegabits: $far,
                relayMegabits: $relay,
            ),
        ),
    );
    $rate = (10e6 / 8) * 0.9;
    expect($line(2)->daily()->seconds)
        ->toEqualWithDelta(2e9 / $rate, 1e-6)
        ->and($line(2)->catchingUp()?->seconds)
        ->toEqualWithDelta(20e9 / ($rate - 2e9 / 86400), 1e-6)
        ->and($line(2, far: 4)->rate()->bytesPerSecond)
        ->toEqualWithDelta((4e6 / 8) * 0.9, 1e-6)
        ->and($line(2, relay: 2)->rate()->bytesPerSecond)
        ->toEqualWithDelta((2e6 / 8) * 0.9, 1e-6)
        ->and($line(2, relay: 2)->findings()->list[0]->why)
        ->toContain('The relay')
        // 10 Mb/s × 0.9 carry 97.2 GB in a day.
        ->and($line(97)->catchingUp())
        ->not->toBeNull()
        ->and($line(98)->catchingUp())
        ->toBeNull()
        ->and($line(98)->findings()->codes())
        ->toContain('plan.line_never_catches_up');
});

test('a tunnel is limited by the line, or by a slow processor', function (): void {
    $rate = fn (string $board, float $up): ?TunnelRate => TunnelRate::of(
        plan($board, drive: null, job: 'tunnel-endpoint')->with(
            circumstances: new Circumstances(upMegabits: $up),
        ),
    );
    expect($rate('flint', 10)?->finding()->code)
        ->toBe('plan.tunnel_rate')
        ->and($rate('flint', 10)?->rate()->bytesPerSecond)
        ->toEqualWithDelta((10e6 / 8) * 0.9, 1e-6)
        ->and($rate('pebble', 200)?->finding()->code)
        ->toBe('plan.tunnel_processor')
        ->and(TunnelRate::of(plan()))
        ->toBeNull();
    foreach (catalogue('board') as $board) {
        expect(TunnelRate::ofProcessor($board->processor)->bytesPerSecond)->toBeGreaterThan(0.0);
    }
});

test('a link that brings less than the jobs want', function (): void {
    expect(
        ofParts(plan('pebble', link: LinkKind::Wireless, job: 'media-library', image: 'server-32'))->codes(),
    )
        ->toContain('plan.link_slow')
        ->and(ofParts(plan('flint', job: 'media-library'))->codes())
        ->not->toContain('plan.link_slow');
});

test('kits against singles', function (): void {
    $parts = PartsList::of(plan('cobble', 'supply-2a5', 'usual-1m', null, job: 'dns-filter', case: 'closed'));
    $starter = KitOffer::among(array_values(catalogue('kit')), $parts, [])[0];
    // Board 35, supply 6, card 9, case 8, lead 4: 62 one by one, 58 as a kit.
    expect($starter->kit->id)
        ->toBe('starter')
        ->and($starter->singles()->cents)
        ->toBe(6200)
        ->and($starter->cents())
        ->toBe(-400)
        ->and($starter->left())
        ->toBe(0)
        ->and($starter->sentence())
        ->toContain('instead of 5 single parts')
        ->toContain('saves 4.00')
        // What lies in the drawer is not saved by a kit.
        ->and(
            KitOffer::among(array_values(catalogue('kit')), $parts, [
                'Supply, 5.1 V 2.5 A',
                'Card, 32 GB, application class A1',
            ])[0]->cents(),
        )
        ->toBe(5800 - 4700)
        ->and(
            KitOffer::among(
                [new Kit('one', 'One', ['board/cobble'], $starter->kit->price, new Market())],
                $parts,
                [],
            ),
        )
        ->toBe([])
        ->and(
            KitOffer::among(
                [
                    new Kit(
                        'gone',
                        'Gone',
                        $starter->kit->holds,
                        $starter->kit->price,
                        new Market(available: false),
                    ),
                ],
                $parts,
                [],
            ),
        )
        ->toBe([]);
});

test('what a kit holds stands in the catalogue', function (): void {
    foreach (catalogue('kit') as $kit) {
        foreach ($kit->holds as $part) {
            [$kind, $id] = explode('/', $part);
            expect(entry($kind, $id)['id'])->toBe($id);
        }
    }
});

test('a part that is not to be had is warned of, and the next best offered', function (): void {
    $gone = (new CatalogueReader())->supply(['available' => false] + entry('supply', 'supply-3a'));
    $plan = plan()->with(supply: $gone);
    $shelf = new Shelf(
        [],
        [],
        ['supply-3a' => $gone] + catalogue('supply'),
        [],
        [],
        [],
        [],
        [],
        [],
        [],
        smallParts(),
    );
    $ways = (new WaysOut($shelf))->from($plan);
    expect(Availability::findings($plan)->codes())
        ->toBe(['plan.not_to_be_had'])
        ->and($ways[0]->sentence())
        ->toBe('Supply, 5.1 V 5 A')
        ->and(array_filter($ways, fn ($way): bool => $way->plan->supply->id === 'supply-3a'))
        ->toBe([]);
});

test('a desk computer is checked for what the evening needs', function (array $but, array $codes): void {
    expect(DeskCheck::findings(plan()->with(desk: desk(...$but)))->codes())->toBe($codes);
})->with([
    'all there' => [[], ['plan.desk_fits']],
    'nothing there' => [
        [
            'administrator' => false,
            'loginClient' => false,
            'localNames' => false,
            'plainEditor' => false,
            'fileCopier' => false,
        ],
        [
            'plan.desk_no_rights',
            'plan.desk_no_login_client',
            'plan.desk_no_local_names',
            'plan.desk_no_editor',
            'plan.desk_no_copier',
        ],
    ],
    'a reader can be bought' => [['cardSlot' => false], ['plan.desk_fits']],
]);

test('a reader goes with the sockets of the desk computer', function (): void {
    $parts = fn (DeskComputer $desk, string $board = 'flint'): array => array_column(
        PartsList::of(plan($board)->with(desk: $desk))->parts,
        'key',
    );
    expect($parts(desk(cardSlot: false, usbPlug: 'USB-C')))
        ->toContain('adapter/reader-c')
        ->and($parts(desk(cardSlot: false)))
        ->toContain('adapter/reader-a')
        ->and($parts(desk()))
        ->not->toContain('adapter/reader-a')
        ->and($parts(desk(cardSlot: false), 'old-laptop'))
        ->not->toContain('adapter/reader-a');
});

test('where it could run: a box of its own, another box, the desk computer, bought', function (): void {
    $plan = plan('flint', drive: null, job: 'dns-filter')->with(desk: desk(sleeps: true, restarts: true));
    $hosts = [
        new Host('larder', plan('flint')),
        new Host(
            'culvert',
            plan('pebble', link: LinkKind::Wireless, job: 'tunnel-endpoint', image: 'server-32'),
        ),
        new Host('sieve', plan(job: 'dns-filter')),
    ];
    $seats = array_column(Seat::all($plan, $hosts), null, 'label');
    expect(array_keys($seats))
        ->toBe(['a box of its own', 'larder', 'culvert', 'the desk', 'Ready-made filtering box'])
        ->and($seats['larder']->price->cents)
        ->toBe(0)
        ->and($seats['larder']->worst()->rank())
        ->toBeLessThan(Severity::Warn->rank())
        ->and($seats['culvert']->worst()->rank())
        ->toBeGreaterThanOrEqual(Severity::Warn->rank())
        ->and($seats['the desk']->findings->codes())
        ->toBe(['plan.desk_sleeps', 'plan.desk_restarts', 'plan.desk_hours'])
        ->and($seats['the desk']->findings->blocks())
        ->toBeTrue()
        // 30 W for 16 more hours of 365.25 days at 0.30 a kWh.
        ->and($seats['the desk']->perYear->cents)
        ->toBe((int) round(((30 * 16 * 365.25) / 1000) * 0.3 * 100))
        ->and($seats['Ready-made filtering box']->price->cents)
        ->toBe(9000);
});

test('a job that nobody waits for may sleep with the desk computer, with a warning', function (): void {
    $plan = plan(drive: null, job: 'control-surface')->with(
        desk: desk(sleeps: true),
        circumstances: new Circumstances(duty: Duty::PluggedIn),
    );
    $seats = array_column(Seat::all($plan, []), null, 'kind');
    expect($seats['desk']->worst())
        ->toBe(Severity::Warn)
        ->and($seats['desk']->perYear->cents)
        ->toBe(0);
});

test('what a box has to bear already does not speak against a new job', function (): void {
    // The host's own camera is not known to its image; that is no news.
    $host = new Host('seedpress', plan('flint', job: 'print-host', image: 'server-64'));
    $seats = array_column(Seat::all(plan(drive: null, job: 'control-surface'), [$host]), null, 'label');
    expect($seats['seedpress']->findings->codes())
        ->not->toContain('plan.peripheral_unknown')
        ->and(Seat::all(plan(job: 'print-host'), [$host]))
        ->toHaveCount(1);
});

test('a disk for a new job on a box without one has its price', function (): void {
    $seats = array_column(
        Seat::all(plan(), [new Host('lantern', plan(drive: null, job: 'control-surface'))]),
        null,
        'label',
    );
    expect($seats['lantern']->price->cents)->toBe(4800);
});

test('measured limits correct the next plan', function (): void {
    $plan = plan();
    $measured = new MeasuredRate($plan, Rate::megabytesPerSecond(104), 0.71);
    expect($measured->limitMet())->toBe('network');
    $calibrated = $plan->with(
        calibration: new Calibration(['network' => (float) $measured->factor()], 7.3, 'larder'),
    );
    expect(CopyRate::of($calibrated)?->rate()->inMegabytes())
        ->toEqualWithDelta(104, 1e-9)
        ->and(CopyRate::of($calibrated)?->limit()->because)
        ->toContain('as measured on larder')
        ->and(Heat::of($calibrated)->celsius())
        ->toEqualWithDelta(24 + 6.4 * 7.3, 1e-9)
        // Another limit of the chain stays as it was worked out.
        ->and(CopyRate::of($calibrated)?->next()->rate->bytesPerSecond)
        ->toBe(CopyRate::of($plan)?->next()->rate->bytesPerSecond);
});

test('what no link explains corrects nothing', function (): void {
    expect((new MeasuredRate(plan(), Rate::megabytesPerSecond(11), 0.9))->limitMet())
        ->toBeNull()
        ->and((new MeasuredRate(plan(), Rate::megabytesPerSecond(11), 0.9))->factor())
        ->toBeNull()
        ->and(
            (new MeasuredRate(
                plan('pebble', link: LinkKind::Wireless),
                Rate::megabytesPerSecond(1.4),
                0.0,
            ))->limitMet(),
        )
        ->toBe('processor');
});

test('sinks and fans take their share of the warming', function (): void {
    $with = fn (?string $cooling): float => Heat::of(
        plan(case: 'closed')->with(cooling: $cooling === null ? null : catalogue('cooling')[$cooling]),
    )->celsius();
    expect($with('small-fan') - 24)
        ->toEqualWithDelta(($with(null) - 24) / 2, 1e-9)
        ->and($with('sinks'))
        ->toBeLessThan($with(null));
});

test('a plan written down is read back as the same plan', function (): void {
    mt_srand(41);
    $shelf = shelf();
    $one = fn (array $of): mixed => array_values($of)[mt_rand(0, count($of) - 1)];
    for ($i = 0; $i < 40; $i++) {
        $jobs = array_values(array_unique([$one($shelf->jobs), $one($shelf->jobs)], SORT_REGULAR));
        $schools = array_reduce(
            $jobs,
            fn (SchoolChoice $sum, $job): SchoolChoice => $sum->choosing($job, $one($job->schools)),
            new SchoolChoice(),
        );
        $plan = new PlanInput(
            $jobs,
            $one($shelf->boards),
            $one($shelf->supplies),
            $one($shelf->cables),
            $one([...array_values($shelf->drives), null]),
            $one(LinkKind::cases()),
            $one($shelf->images),
            $one($shelf->cards),
            $one($shelf->cases),
            smallParts(),
            new Circumstances(
                mt_rand(-20, 60),
                mt_rand(0, 90) / 100,
                Bytes::giga(mt_rand(1, 900)),
                $one(Duty::cases()),
                mt_rand(1, 900),
                mt_rand(1, 90),
                mt_rand(0, 90),
                null,
                $one(['desktop', 'phone']),
                Bytes::giga(mt_rand(0, 9)),
                mt_rand(0, 30),
                mt_rand(1, 90),
                mt_rand(0, 9),
            ),
            $one([...$shelf->small->hubs(), null]),
            $one([...array_values($shelf->coolings), null]),
            $one([...array_values($shelf->addOns), null]),
            $schools,
            $one(ImageOrigin::cases()),
            $one([desk(name: 'desk: “#1”'), null]),
            $one([[], [new Feed('sieve', Amps::of(1.25))]]),
            $one([new Calibration(), new Calibration(['network' => 0.875], 7.25, 'larder, wren')]),
        );
        $read = PlanFile::read(
            PlanFile::write($plan),
            (string) file_get_contents('core/Plan/schema/plan.schema.json'),
            'plan.yaml',
            $shelf,
        );
        expect($read->findings->codes())
            ->toBe([])
            ->and(json_encode($read->input === null ? null : PlanAnswer::to($read->input)))
            ->toBe(json_encode(PlanAnswer::to($plan)));
    }
});

test('a plan with an unknown part says which line', function (): void {
    $yaml = PlanFile::write(plan()->with(schools: new SchoolChoice(['file-store' => 'package'])));
    $broken = str_replace(
        ['file-store: package', 'cable: usual-1m'],
        ['file-store: sorcery', 'cable: usual-9m'],
        $yaml,
    );
    $findings = PlanFile::read(
        $broken,
        (string) file_get_contents('core/Plan/schema/plan.schema.json'),
        'plan.yaml',
        shelf(),
    )->findings;
    expect($findings->codes())
        ->toBe(['plan.unknown_part', 'plan.unknown_part'])
        ->and(array_map(fn ($finding): ?int => $finding->place?->line, $findings->list))
        ->toBe([
            array_search('cable: usual-9m', explode("\n", $broken), true) + 1,
            array_search('  file-store: sorcery', explode("\n", $broken), true) + 1,
        ]);
});

// IEEE 802.11-2020, tables of the HT and VHT MCS: one stream in 20 MHz at MCS 7 is 65 or 72.2 Mb/s, in 40 MHz 135 or
// 150; VHT MCS 9 in 40 and 80 MHz 200 and 433.3.
test('rates on the air are those of the standard', function (
    string $standard,
    int $megahertz,
    int $streams,
    bool $short,
    float $megabits,
): void {
    expect(Wireless::megabits($standard, $megahertz, $streams, $short))->toBe($megabits);
})->with([
    ['n', 20, 1, false, 65.0],
    ['n', 20, 1, true, 72.2],
    ['n', 40, 1, false, 135.0],
    ['n', 40, 1, true, 150.0],
    ['n', 40, 2, true, 300.0],
    ['ac', 40, 1, true, 200.0],
    ['ac', 80, 1, true, 433.3],
    ['ac', 80, 2, true, 866.7],
]);

// USB 2.0 specification, table 5-10: 13 bulk transfers of 512 bytes in a microframe, 53 248 000 bytes a second. USB 3
// at 5 Gb/s: 500 MB/s after 8b/10b.
test('a USB bus carries no more than its standard', function (): void {
    expect(Usb::most(2)->bytesPerSecond)
        ->toBe(53248000.0)
        ->and(Usb::most(3)->inMegabytes())
        ->toBe(500.0);
    $boastful = board('pebble', [
        'buses' => [['name' => 'USB 2 bus', 'usb' => 2, 'mbyte' => 480, 'carries' => ['disk']]],
    ]);
    expect($boastful->usbBus()?->payload->bytesPerSecond)->toBe(53248000.0);
    foreach (catalogue('board') as $board) {
        expect($board->usbBus()?->payload->inMegabytes())->toBeLessThanOrEqual(
            str_contains($board->usbBus()->name, 'USB 2') ? 53.248 : 500.0,
        );
    }
});

// SD Physical Layer specification: 12.5, 25, 50 and 104 MB/s.
test('a card is written at the slower bus of card and reader', function (): void {
    expect(array_map(fn (SdBus $bus): float => $bus->rate()->inMegabytes(), SdBus::cases()))->toBe([
        12.5,
        25.0,
        50.0,
        104.0,
    ]);
    $time = fn (?DeskComputer $desk): float => (new ImageTime(
        plan(card: 'card-64-endurance')->with(desk: $desk),
    ))->time()->seconds;
    // 2.7 GB: unpacked at 50 MB/s; written at 30 and read back at 90, or both at the 25 of the reader.
    expect($time(null))
        ->toEqualWithDelta(2700 / 50 + 2700 / 30 + 2700 / 90, 1e-6)
        ->and($time(desk(cardSlot: false)))
        ->toEqualWithDelta(2700 / 50 + 2700 / 25 + 2700 / 25, 1e-6)
        ->and($time(desk(cardSlot: false, usbPlug: 'USB-C')))
        ->toEqualWithDelta($time(null), 1e-6);
});

test('figures of the catalogue agree with common practice and with each other', function (): void {
    // A single core between a network socket and a disk on one bus: 4 to 7 MB/s.
    expect(CopyRate::of(plan('marl', image: 'server-32'))?->rate()->inMegabytes())
        ->toBeGreaterThan(4.0)
        ->toBeLessThan(7.0);
    // A card is never read faster than its bus carries.
    foreach (catalogue('card') as $card) {
        expect([$card->id, $card->bus->rate()->isBelow($card->read)])->toBe([$card->id, false]);
    }
    // 2.4 million samples a second of 16 bits each.
    expect(catalogue('job')['radio-receiver']->networkMegabits)->toEqualWithDelta(2.4 * 16, 0.001);
    // Every box has its remote login, and a newer board is not slower than a retired laptop of ten years before.
    foreach (catalogue('job') as $job) {
        expect([
            $job->id,
            in_array(22, array_map(fn ($use): int => $use->port->number, $job->ports), true),
        ])->toBe([$job->id, true]);
    }
    expect(board('basalt')->speed)->toBeGreaterThan(board('old-laptop')->speed);
});

test('sinks do nothing more in a case that brings its own', function (): void {
    $kelvin = fn (string $case, string $cooling): float => Heat::of(
        plan(case: $case)->with(cooling: catalogue('cooling')[$cooling]),
    )->kelvinPerWatt();
    expect($kelvin('vented', 'sinks'))
        ->toBe(catalogue('case')['vented']->kelvinPerWatt)
        ->and($kelvin('vented', 'small-fan'))
        ->toBe(catalogue('case')['vented']->kelvinPerWatt * 0.5)
        ->and($kelvin('open', 'sinks'))
        ->toBe(catalogue('case')['open']->kelvinPerWatt * 0.85);
});

test('a pocket computer takes power and network from the laptop it is plugged into', function (): void {
    $plan = plan(
        'pebble',
        'laptop-socket',
        'stout-05m',
        null,
        LinkKind::UsbCable,
        'pocket-computer',
        'server-32',
        case: 'open',
    );
    expect(PlanAnswer::findings($plan)->blocks())
        ->toBeFalse()
        ->and($plan->megabits())
        ->toBe(200.0)
        ->and(array_column(PartsList::of($plan)->parts, 'key'))
        ->not->toContain('adapter/lead-network')
        ->and(PlanAnswer::findings($plan->with(board: board('flint')))->codes())
        ->toContain('plan.no_such_link');
});

test(
    'one busy core of several shows as idle time of the others, on a board that has several',
    function (): void {
        // 90 % of what the processor of four cores lets through, three quarters idle: one core is full.
        $four = plan('cobble', 'supply-2a5');
        $limit = CopyRate::of($four);
        $idle = fn (string $board, float $idle, float $rate): ?string => (new MeasuredRate(
            plan($board, 'supply-2a5', image: 'server-32'),
            Rate::megabytesPerSecond($rate),
            $idle,
        ))->limitMet();
        expect($limit)
            ->not->toBeNull()
            // A single core that is half idle is not full, whatever the rate.
            ->and($idle('marl', 0.5, 1.0))
            ->not->toBe('processor');
    },
);

test('an entry that leaves out what came later has its default', function (): void {
    $entry = entry('board', 'flint');
    unset($entry['sockets']['usb_count'], $entry['sockets']['header_pins'], $entry['poe_type']);
    $board = (new CatalogueReader())->board($entry);
    expect([$board->usbCount, $board->headerPins, $board->poeType, $board->gadgetMegabits])->toBe([
        1,
        0,
        null,
        null,
    ]);
});

test('a desk computer that runs all day costs nothing more, and one for a job by day neither', function (
    float $hours,
    Duty $duty,
    bool $more,
): void {
    $plan = plan('flint', drive: null, job: 'dns-filter')->with(
        desk: desk(hours: $hours),
        circumstances: new Circumstances(duty: $duty),
    );
    $seat = array_column(Seat::all($plan, []), null, 'kind')['desk'];
    expect(in_array('plan.desk_hours', $seat->findings->codes(), true))
        ->toBe($more)
        ->and($seat->perYear->cents > 0)
        ->toBe($more);
})->with([
    [8.0, Duty::AroundTheClock, true],
    [24.0, Duty::AroundTheClock, false],
    [8.0, Duty::PluggedIn, false],
]);

test('a full core shows as idle time of the others, with two in a hundred to spare', function (
    float $idle,
    ?string $met,
): void {
    // The model takes the processor for the limit; far below it no link explains the rate.
    $plan = plan('grit', link: LinkKind::UsbWired);
    expect((new MeasuredRate($plan, Rate::megabytesPerSecond(0.1), $idle))->limitMet())->toBe($met);
})->with([[0.05, 'processor'], [0.7, 'processor'], [0.765, 'processor'], [0.775, null]]);

test('a board of one core is full where hardly anything is idle', function (float $idle, ?string $met): void {
    $plan = plan('marl');
    expect((new MeasuredRate($plan, Rate::megabytesPerSecond(0.1), $idle))->limitMet())->toBe($met);
})->with([[0.0, 'processor'], [0.09, 'processor'], [0.1, null], [0.5, null]]);

test('an image starts on a board that came out in its year, and on no later one', function (
    string $board,
    string $image,
    bool $starts,
): void {
    expect(catalogue('image')[$image]->startsOn(board($board)))->toBe($starts);
})->with([
    ['basalt', 'server-64-2023', true],
    ['basalt', 'server-32-old', false],
    ['flint', 'server-32-old', true],
    ['flint-8', 'server-32-old', false],
    ['marl', 'server-32', true],
    ['marl', 'server-64', false],
]);

test('a kit is a kit of two parts, and costs more, less or the same', function (
    int $cents,
    string $said,
): void {
    $parts = PartsList::of(plan('cobble', 'supply-2a5', 'usual-1m', null, job: 'dns-filter', case: 'closed'));
    $starter = KitOffer::among(array_values(catalogue('kit')), $parts, [])[0];
    $two = array_slice($starter->kit->holds, 0, 2);
    $sum = array_sum(
        array_map(
            fn ($part): int => in_array($part->key, $two, true) ? $part->price->cents : 0,
            $parts->missing([]),
        ),
    );
    $kit = new Kit('two', 'Two', $two, Money::of(($sum + $cents) / 100), new Market());
    expect(KitOffer::among([$kit], $parts, [])[0]->sentence())->toContain($said);
})->with([[-5, 'saves 0.05'], [0, 'costs the same'], [5, 'costs 0.05 more']]);

test('what goes to a drive is nothing where there is none', function (): void {
    expect(plan('flint', drive: null)->writesToDrivePerDay()->count)->toBe(0);
});

test('a job without a school is planned without one', function (): void {
    $held = fn (string $school): array => [new HeldJob(catalogue('job')['dns-filter'], $school)];
    $parts = new BoxParts(board: 'flint', supply: 'supply-3a', cable: 'usual-1m');
    $school = catalogue('job')['dns-filter']->schools[0]->id;
    expect(PlanOfBox::of($held(''), $parts, shelf())?->schools->chosen)
        ->toBe([])
        ->and(PlanOfBox::of($held($school), $parts, shelf())?->schools->chosen)
        ->toBe(['dns-filter' => $school]);
});

test('as many devices as sockets need no hub', function (): void {
    $plan = plan('flint', drive: 'ssd-500', job: 'file-store print-host');
    $devices = count(Burrow\Plan\Power\UsbDevices::of($plan)->list);
    $board = fn (int $sockets) => $plan->with(board: board('flint', ['sockets' => ['usb_count' => $sockets]]));
    expect($devices)
        ->toBeGreaterThan(1)
        ->and($board($devices)->hub())
        ->toBeNull()
        ->and($board($devices - 1)->hub()?->sockets)
        ->toBeGreaterThan(0);
});

test('a board that is no warmer than its room was not measured', function (float $board, string $code): void {
    expect((new MeasuredHeat(plan(), $board, 21.0))->finding()->code)->toBe($code);
})->with([[20.9, 'plan.heat_not_believed'], [21.0, 'plan.heat_not_believed'], [40.0, 'plan.heat_measured']]);
