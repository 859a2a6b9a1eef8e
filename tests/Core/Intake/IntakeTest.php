<?php

declare(strict_types=1);

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Disks\FileSystemId;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Updates\UpgradeSummary;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

const ONE_LINE_LEASES = "1795600000 02:4b:1e:90:00:07 172.22.8.131 wren 01:02:4b:1e:90:00:07\n0 02:11:5e:ed:00:05 172.22.8.104 * *\n";

const BLOCK_LEASES = <<<'L'
# made by the router
lease 172.22.8.131 {
  starts 3 2026/11/25 10:00:00;
  ends 3 2026/11/25 22:00:00;
  hardware ethernet 02:4b:1e:90:00:07;
  client-hostname "old";
}
lease 172.22.8.131 {
  ends 3 2026/11/25 23:00:00;
  hardware ethernet 02:4b:1e:90:00:07;
  client-hostname "wren";
}
lease 172.22.8.140 { hardware ethernet 02:11:5e:ed:00:06; }
L;

test('leases of one line each', function (): void {
    $leases = Intake::standard()
        ->read('leases', ONE_LINE_LEASES)
        ->all(Lease::class);
    expect(
        array_map(fn (Lease $l) => [(string) $l->address, (string) $l->mac, $l->name, $l->expires], $leases),
    )->toBe([
        ['172.22.8.131', '02:4b:1e:90:00:07', 'wren', 1795600000],
        ['172.22.8.104', '02:11:5e:ed:00:05', null, null],
    ]);
});

test('leases in blocks, where the last word on an address counts', function (): void {
    $leases = Intake::standard()
        ->read('leases', BLOCK_LEASES)
        ->all(Lease::class);
    expect(count($leases))
        ->toBe(2)
        ->and($leases[0]->name)
        ->toBe('wren')
        ->and(gmdate('H:i', (int) $leases[0]->expires))
        ->toBe('23:00')
        ->and($leases[1]->name)
        ->toBeNull();
});

test('lines that are not understood are named, and the rest is read', function (): void {
    $reading = Intake::standard()->read('leases', "Client list\n".ONE_LINE_LEASES."172.22.8.9 something\n");
    expect(count($reading->facts))
        ->toBe(2)
        ->and(array_map(fn ($f) => $f->place?->line, $reading->findings->list))
        ->toBe([1, 4]);
});

test('a lease list without leases says so', function (): void {
    expect(Intake::standard()->read('leases', "no such file\n")->findings->codes())
        ->toContain('intake.no_leases')
        ->and(Intake::standard()->read('leases', '')->findings->codes())
        ->toBe(['intake.no_leases']);
});

test('a megabyte of leases is read, and its findings stay few', function (): void {
    $text = '';
    for ($i = 0; strlen($text) < 1_050_000; $i++) {
        $text .= sprintf(
            "1795600000 02:%02x:%02x:00:00:01 10.%d.%d.%d box%d *\nrubbish %d\n",
            ($i >> 8) & 255,
            $i & 255,
            ($i >> 16) & 255,
            ($i >> 8) & 255,
            $i & 255,
            $i,
            $i,
        );
    }
    $reading = Intake::standard()->read('leases', $text);
    expect(count($reading->facts))->toBe($i)->and(count($reading->findings))->toBeLessThan(10);
});

test('no text comes in that is none', function (string $text, string $code): void {
    expect(Intake::standard()->read('leases', $text)->findings->codes())->toBe([$code]);
})->with([
    'a zip' => ["PK\x03\x04rest", 'intake.not_text'],
    'binary' => ["a\0b", 'intake.not_text'],
    'far too much' => [str_repeat('a', Intake::LIMIT + 1), 'intake.over_budget'],
]);

test('an unknown kind lists the known ones', function (): void {
    expect(Intake::standard()->read('tea', 'x')->findings->list[0]->do)->toContain(
        'leases',
        'lsblk',
        'hostkeys',
        'upgrade',
        'uuid',
    );
});

test('lsblk of old and new versions', function (): void {
    $json = [
        'blockdevices' => [
            [
                'name' => 'mmcblk0',
                'size' => '31914983424',
                'ro' => '0',
                'rm' => '0',
                'serial' => '0x2b',
                'children' => [
                    [
                        'name' => 'mmcblk0p1',
                        'size' => 5,
                        'fstype' => 'vfat',
                        'label' => 'bootfs',
                        'mountpoint' => '/boot/firmware',
                    ],
                    ['name' => 'mmcblk0p2', 'size' => 6, 'fstype' => 'ext4', 'mountpoint' => '/'],
                ],
            ],
            [
                'name' => 'sda',
                'size' => 500107862016,
                'ro' => false,
                'rm' => true,
                'model' => 'Disk ',
                'tran' => 'usb',
                'mountpoints' => [null],
            ],
            ['name' => 'loop0', 'size' => 5],
            ['size' => 7],
            'junk',
        ],
    ];
    $reading = Intake::standard()->read(
        'lsblk',
        "warden@wren:~ $ lsblk\n".json_encode($json)."\nwarden@wren:~ $ ",
    );
    [$card, $disk] = $reading->all(BlockDevice::class);
    expect($card->isSystem())
        ->toBeTrue()
        ->and($card->firstPartition())
        ->toBe('mmcblk0p1')
        ->and($card->mountPoints)
        ->toBe(['/boot/firmware', '/'])
        ->and($card->fileSystems)
        ->toBe(['vfat bootfs', 'ext4'])
        ->and($disk->isSystem())
        ->toBeFalse()
        ->and($disk->removable)
        ->toBeTrue()
        ->and($disk->model)
        ->toBe('Disk')
        ->and($disk->firstPartition())
        ->toBe('sda1')
        ->and($reading->findings->codes())
        ->toBe(['intake.device_not_read'])
        ->and($reading->findings->list[0]->found)
        ->toStartWith('2 devices');
});

test('what is not lsblk is refused', function (string $text): void {
    expect(Intake::standard()->read('lsblk', $text)->findings->codes())->toBe(['intake.not_lsblk_json']);
})->with(['', 'NAME SIZE', '{"blockdevices": 7}', '{', '}{', '[]']);

test('the last UUID is the one that was asked for', function (): void {
    $text = "Filesystem UUID: 11111111-2222-4333-8444-555555555555\n7c9e6679-7425-40de-944b-e07fc1f90ae7\n";
    expect(Intake::standard()->read('uuid', $text)->all(FileSystemId::class)[0]->uuid)
        ->toBe('7c9e6679-7425-40de-944b-e07fc1f90ae7')
        ->and(
            Intake::standard()
                ->read('uuid', $text."STOPPED: this is not the disk that was chosen\n")
                ->findings->codes(),
        )
        ->toBe(['intake.wrong_disk'])
        ->and(Intake::standard()->read('uuid', 'mkfs: no such file')->findings->codes())
        ->toBe(['intake.no_uuid']);
});

test('an upgrade is judged by its own words', function (): void {
    $good =
        "The following packages will be upgraded:\n  libc6\n41 upgraded, 2 newly installed, 0 to remove and 3 not upgraded.\nSetting up libc6\n";
    $summary = Intake::standard()->read('upgrade', $good)->all(UpgradeSummary::class)[0];
    expect([$summary->upgraded, $summary->installed, $summary->removed, $summary->heldBack])
        ->toBe([41, 2, 0, 3])
        ->and(
            Intake::standard()->read('upgrade', "E: Could not get lock /var/lib/dpkg/lock\n")->findings->list[0]
                ->found,
        )
        ->toContain('Another upgrade')
        ->and(
            Intake::standard()->read('upgrade', "E: Sub-process returned an error code (1)\n")->findings->blocks(),
        )
        ->toBeTrue()
        ->and(Intake::standard()->read('upgrade', 'done')->findings->codes())
        ->toBe(['intake.no_upgrade_summary']);
});

test('readers never throw, whatever comes in', function (): void {
    mt_srand(4);
    $intake = Intake::standard();
    $seeds = [
        ONE_LINE_LEASES,
        BLOCK_LEASES,
        '{"blockdevices":[{"name":"sda","size":5,"children":[{"name":"a"}]}]}',
        "host ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEB\n",
        '1 upgraded, 2 newly installed',
    ];
    for ($i = 0; $i < 1200; $i++) {
        $text = $seeds[$i % count($seeds)];
        for ($n = mt_rand(1, 6); $n > 0; $n--) {
            $at = mt_rand(0, strlen($text));
            $text = mt_rand(0, 1)
                ? substr($text, 0, $at).random_bytes(mt_rand(1, 5)).substr($text, $at)
                : substr($text, 0, $at).substr($text, $at + mt_rand(1, 8));
        }
        foreach (array_keys($intake->kinds()) as $kind) {
            $reading = $intake->read($kind, $text);
            expect(json_encode($reading, JSON_INVALID_UTF8_SUBSTITUTE))->toBeString();
        }
    }
});

test('a bad entry is told by line', function (string $yaml, string $code, ?int $line): void {
    $entry = YamlEntry::read(
        $yaml,
        (string) file_get_contents('core/Catalogue/schema/supply.schema.json'),
        'entry.yaml',
    );
    expect($entry->data)
        ->toBeNull()
        ->and($entry->findings->list[0]->code)
        ->toBe($code)
        ->and($entry->findings->list[0]->place?->line)
        ->toBe($line);
})->with([
    'tab' => ["id: a1\n\tlabel: b\n", 'yaml.tab', 2],
    'no yaml' => ["id: a1\nlabel: \"b\nvolts: 5\n", 'yaml.does_not_parse', 2],
    'text only' => ['greenhouse', 'yaml.not_an_entry', null],
    'wrong type' => ["id: a1\nlabel: b\nvolts: five\namps: 1\nprice: 3\n", 'yaml.schema', 3],
    'unknown key' => ["id: a1\nlabel: b\nvolts: 5\namps: 1\nprice: 3\ncolour: red\n", 'yaml.schema', 6],
    'missing key' => ["id: a1\nlabel: b\n", 'yaml.schema', 1],
    'bad id' => ["label: b\nid: A 1\nvolts: 5\namps: 1\nprice: 3\n", 'yaml.schema', 2],
    'huge' => [str_repeat("a: b\n", 60000), 'yaml.over_budget', null],
]);

test('a value deep in a text is found', function (): void {
    $yaml =
        "a: 1\nusers:\n  - name: x\n    keys:\n      - one\n      - two\n  - name: y\n    keys:\n      - three\nz: 2\n";
    expect((new YamlLines($yaml))->locate(['users', 0, 'keys', 1]))
        ->toBe(6)
        ->and((new YamlLines($yaml))->locate(['users', 1, 'name']))
        ->toBe(7)
        ->and((new YamlLines($yaml))->locate(['users', 1, 'keys', 0]))
        ->toBe(9)
        ->and((new YamlLines($yaml))->locate(['z']))
        ->toBe(10)
        ->and((new YamlLines($yaml))->locate([]))
        ->toBe(1);
});
