<?php

declare(strict_types=1);

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\ClientId;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Leases\TableColumns;
use Burrow\Intake\Leases\TableLeases;
use Burrow\Intake\Lines;
use Burrow\Intake\Names\NameSet;
use Burrow\Intake\Paste;
use Burrow\Intake\System\Span;
use Burrow\Quantity\Bytes;

// How much of a text is looked at, both sides of each edge; and the small values that readers are made of.

/** How many facts stand in a text of so many lines, or so many entries of JSON. */
function manyOf(
    string $kind,
    int $count,
    string $line,
    string $before = '',
    string $after = '',
    string $between = "\n",
): int {
    $lines = implode(
        $between,
        array_map(
            fn (int $i): string => str_replace(['%d', '%x'], [(string) $i, sprintf('%04x', $i)], $line),
            range(1, $count),
        ),
    );

    return count(Intake::standard()->read($kind, "{$before}{$lines}{$after}")->facts);
}

test('of so many things the first are read', function (string $kind, int $most, mixed ...$text): void {
    expect(manyOf($kind, $most, ...$text))
        ->toBe($most)
        ->and(manyOf($kind, $most + 1, ...$text))
        ->toBe($most);
})->with([
    'disks' => ['lsblk', 256, '{"name":"d%x","size":4096}', '{"blockdevices":[', ']}', ','],
    'disks of a desk computer' => ['get-disk', 256, '{"Number":%d,"Size":4096}', '[', ']', ','],
    'disks of another' => [
        'diskutil',
        256,
        '<dict><key>DeviceIdentifier</key><string>disk%d</string><key>Size</key><integer>1</integer></dict>',
        '<plist version="1.0"><dict><key>AllDisksAndPartitions</key><array>',
        '</array></dict></plist>',
    ],
    'disks and their parts' => ['disks', 2000, 'd%x disk', "NAME TYPE\n"],
    'arrays' => [
        'array',
        200,
        "md%d : active raid1 sda1[0]\n      1 blocks [1/1] [U]",
        "Personalities : [raid1]\n",
    ],
    'answers of a probe' => ['reach', 5000, 'Connection to 172.22.8.1 %d port [tcp/x] succeeded!'],
    'addresses of interfaces' => ['own-address', 1000, '%d: e%d    inet 172.22.8.1/24 scope global e%d'],
]);

test('more disks than are looked at are told', function (): void {
    $codes = fn (int $count): array => Intake::standard()
        ->read(
            'lsblk',
            '{"blockdevices":['.
                implode(
                    ',',
                    array_map(fn (int $i): string => "{\"name\":\"d{$i}\",\"size\":1}", range(1, $count)),
                ).
                ']}',
        )
        ->findings->codes();
    expect($codes(256))
        ->toBe([])
        ->and($codes(257))
        ->toBe(['intake.too_many_devices']);
});

test('lines that are passed over are named up to five, and the others are counted', function (
    int $lines,
): void {
    $found = Intake::standard()->read(
        'neighbours',
        "172.22.8.1 dev eth0 lladdr 02:4b:1e:90:00:01 REACHABLE\n".str_repeat("a kettle\n", $lines),
    )->findings->list;
    expect(array_map(fn ($one): ?int => $one->place?->line, array_slice($found, 0, 5)))->toBe(
        array_slice([2, 3, 4, 5, 6], 0, $lines),
    );
    expect(count($found))->toBe(min(6, $lines));
    $lines > 5 &&
        expect($found[5]->found)->toBe(
            $lines === 6 ? 'And one more line was passed over.' : 'And 4 more lines were passed over.',
        );
})->with([1, 5, 6, 9]);

test('a line is read up to its four thousand and ninety-sixth byte', function (): void {
    $lines = fn (string $text): array => iterator_to_array(Lines::of($text));
    expect($lines("a\n\nb"))
        ->toBe([1 => 'a', 2 => '', 3 => 'b'])
        ->and(strlen($lines(str_repeat('a', 4096))[1]))
        ->toBe(4096)
        ->and(strlen($lines(str_repeat('a', 5000))[1]))
        ->toBeLessThanOrEqual(4096)
        ->and(Lines::words('  a  b '))
        ->toBe(['a', 'b']);
});

test('a length of time in the words of the system\'s manager', function (
    string $said,
    ?float $seconds,
): void {
    expect(Span::seconds($said))->toBe($seconds);
})->with([
    ['1us', 1e-6],
    ['250ms', 0.25],
    ['1min 5.447s', 65.447],
    ['2h', 7200.0],
    ['1 day', 86400.0],
    ['3 days 4h', 273600.0],
    ['2w 1 day', 1296000.0],
    // A month is a twelfth of a year of 365.25 days (systemd.time(7)).
    ['1 month', 2629800.0],
    ['2 months', 5259600.0],
    ['1y', 31557600.0],
    ['', null],
    ['soon', null],
    ['5parsecs', null],
]);

test('a hardware address stands in an identity of its kinds', function (string $said, ?string $mac): void {
    expect(ClientId::mac($said))->toBe($mac);
})->with([
    'link-layer and time' => ['00:01:00:01:32:9a:b5:53:02:4b:1e:90:00:07', '02:4b:1e:90:00:07'],
    'link-layer' => ['00:03:00:01:02:4b:1e:90:00:07', '02:4b:1e:90:00:07'],
    'of the older protocol' => ['01:02:4b:1e:90:00:07', '02:4b:1e:90:00:07'],
    'another kind' => ['ff:5e:ed:00:05:00:01:02', null],
    'too short' => ['01:02:4b:1e:90:00', null],
    'odd' => ['01:02:4b:1e:90:00:0', null],
    'no numbers' => ['wren', null],
    'nothing' => ['', null],
]);

test('a lease holds unless its list says otherwise', function (): void {
    $lease = fn (?string $state): Lease => new Lease('172.22.8.16', null, null, null, $state);
    expect([
        $lease(null)->holds(),
        $lease(Lease::ACTIVE)->holds(),
        $lease('expired')->holds(),
        $lease('free')->holds(),
    ])->toBe([true, true, false, false]);
});

test('what was kept of a table is taken when it can be', function (mixed $kept, ?string $words): void {
    expect(TableColumns::kept($kept)?->words())->toBe($words);
})->with([
    [['count' => 3, 'name' => 0, 'heads' => ['who', 'mac', 'ip']], 'column 1, “who”'],
    [['count' => 3, 'name' => 2, 'heads' => []], 'column 3'],
    [['count' => 3, 'name' => 3, 'heads' => []], null],
    [['count' => 3, 'name' => -1, 'heads' => []], null],
    [['count' => TableLeases::MOST_COLUMNS, 'name' => 0], 'column 1'],
    [['count' => TableLeases::MOST_COLUMNS + 1, 'name' => 0], null],
    [['count' => '3', 'name' => 0], null],
    [['name' => 0], null],
    [['count' => 3], null],
    ['x', null],
]);

test('a table fits by its heads, and by its columns where it has none', function (): void {
    $headed = TableColumns::kept(['count' => 3, 'name' => 0, 'heads' => ['who', 'mac', 'ip']]);
    $bare = TableColumns::kept(['count' => 3, 'name' => 0, 'heads' => []]);
    expect($headed?->fits(2, ['who', 'mac', 'ip']))
        ->toBeTrue()
        ->and($headed?->fits(3, ['name', 'mac', 'ip']))
        ->toBeFalse()
        ->and($headed?->fits(3, []))
        ->toBeFalse()
        ->and($bare?->fits(3, []))
        ->toBeTrue()
        ->and($bare?->fits(4, []))
        ->toBeFalse();
});

test('a disk is the same by what stays its own', function (): void {
    $disk = fn (
        string $name,
        ?string $serial,
        ?string $stable = null,
        int $size = 4096,
    ): BlockDevice => new BlockDevice(
        $name,
        Bytes::of($size),
        null,
        $serial,
        null,
        false,
        false,
        [],
        [],
        $stable,
    );
    expect($disk('sda', '5EED')->isSame($disk('sdb', '5EED')))
        ->toBeTrue()
        ->and($disk('sda', '5EED')->isSame($disk('sda', '5EEE')))
        ->toBeFalse()
        ->and($disk('sda', null, '/dev/disk/by-id/a')->isSame($disk('sdb', null, '/dev/disk/by-id/a')))
        ->toBeTrue()
        ->and($disk('sda', null, '/dev/disk/by-id/a')->isSame($disk('sda', null, '/dev/disk/by-id/b')))
        ->toBeFalse()
        ->and($disk('sda', null)->isSame($disk('sda', null)))
        ->toBeTrue()
        ->and($disk('sda', null)->isSame($disk('sdb', null)))
        ->toBeFalse()
        ->and($disk('sda', '5EED')->isSame($disk('sda', '5EED', null, 8192)))
        ->toBeFalse()
        ->and([$disk('sda', null)->firstPartition(), $disk('nvme0n1', null)->firstPartition()])
        ->toBe(['sda1', 'nvme0n1p1']);
});

test('a disk has the link that says most of it', function (): void {
    $text = <<<'TEXT'
    {"blockdevices": [{"name": "sda", "size": 4096}, {"name": "sdb", "size": 4096}, {"name": "sdc", "size": 4096, "id-link": "ata-own"}]}
    lrwxrwxrwx 1 root root  9 Nov 25 15:00 wwn-0x5eed -> ../../sda
    lrwxrwxrwx 1 root root  9 Nov 25 15:00 ata-spinning_5EED-1 -> ../../sda
    lrwxrwxrwx 1 root root  9 Nov 25 15:00 usb-spinning_5EED-1-0:0 -> ../../sda
    lrwxrwxrwx 1 root root  9 Nov 25 15:00 odd'name -> ../../sdb
    lrwxrwxrwx 1 root root  9 Nov 25 15:00 usb-other -> ../../sdc
    TEXT;
    expect(
        array_column(Intake::standard()->read('lsblk', $text)->all(BlockDevice::class), 'stable', 'name'),
    )->toBe([
        'sda' => '/dev/disk/by-id/ata-spinning_5EED-1',
        'sdb' => null,
        'sdc' => '/dev/disk/by-id/ata-own',
    ]);
});

test('a set of names knows what lies below, and folds', function (): void {
    $set = new NameSet();
    foreach (
        ['ads.example', '*track.example', 'a.track.example', '*b.track.example', 'track.example'] as $name
    ) {
        $set->add($name);
    }
    expect(
        array_map($set->has(...), [
            'ads.example',
            'x.ads.example',
            'track.example',
            'x.y.track.example',
            'example',
        ]),
    )
        ->toBe([true, false, true, true, false])
        ->and([$set->count(), $set->folded()])
        ->toBe([5, 2])
        ->and(iterator_to_array($set->entries(), false))
        ->toBe(['*track.example', 'ads.example']);
    $plain = new NameSet();
    $plain->add('ads.example');
    expect([
        $plain->has('x.ads.example'),
        $plain->folded(),
        iterator_to_array($plain->entries(), false),
    ])->toBe([false, 1, ['ads.example']]);
});

test('lines that a window broke are put together, and no others', function (
    string $text,
    ?string $whole,
): void {
    expect(Paste::of($text)->unwrapped()?->text())->toBe($whole);
})->with([
    'at eighty' => [str_repeat('a', 80)."\nbc\nd", str_repeat('a', 80)."bc\n\nd"],
    'a blank was lost at the edge' => [str_repeat('a', 79)."\nbc\nd", str_repeat('a', 79)." bc\n\nd"],
    'narrower than any window' => [str_repeat('a', 70)."\nbc", null],
    'wider than any' => [str_repeat('a', 251)."\nbc", null],
    'as wide as the widest' => [str_repeat('a', 250)."\nbc", str_repeat('a', 250)."bc\n"],
    'nothing below the edge' => ['x'."\n".str_repeat('a', 80), null],
    'an empty line below it' => [str_repeat('a', 80)."\n\nbc", null],
    'over two edges' => [
        str_repeat('a', 80)."\n".str_repeat('b', 80)."\nc",
        str_repeat('a', 80).str_repeat('b', 80)."c\n\n",
    ],
    'a line that begins as others do' => ["tcp 1\n".'tcp '.str_repeat('a', 76)."\ntcp 2", null],
]);

test('a paste is cut at its prompts', function (): void {
    $parts = Paste::of("one\nwarden@larder:~ \$ df\ntwo\nthree\nwarden@larder:~ \$ mount\nfour\n")->parts();
    expect(array_map(trim(...), $parts))
        ->toContain('one')
        ->and(array_map(trim(...), array_values($parts))[count($parts) - 1])
        ->toContain('four')
        ->and(Paste::of("one\ntwo")->parts())
        ->toBe([0 => "one\ntwo"]);
});

test(
    'a blank that was lost at the edge of a window comes back, at the widths that windows have',
    function (): void {
        $back = [];
        foreach (range(81, 245) as $columns) {
            $joined = Paste::of(str_repeat('x', $columns - 1)."\nrest\nothers end early")
                ->unwrapped()
                ?->text();
            str_contains((string) $joined, 'x rest') && ($back[] = $columns);
        }
        expect($back)->toBe([100, 120, 132, 160]);
    },
);

test('windows have from 80 to 250 columns, and show 64 KiB', function (): void {
    $joins = fn (int $columns, int $more = 0): bool => Paste::of(
        str_repeat('x', $columns)."\nrest".str_repeat("\ny", $more),
    )->unwrapped() !== null;
    expect([$joins(78), $joins(79), $joins(80), $joins(250), $joins(251)])
        ->toBe([false, true, true, true, false])
        ->and([$joins(90, 65_536 - 95 >> 1), $joins(90, 1 + (65_536 - 95) >> 1)])
        ->toBe([true, false]);
});
