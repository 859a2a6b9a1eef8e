<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Paste;

/** The facts of a text as JSON holds them. */
function facts(string $kind, string $text): array
{
    return json_decode((string) json_encode(Intake::standard()->read($kind, $text)), true);
}

test('failed units and timers', function (): void {
    $failed =
        "  UNIT          LOAD   ACTIVE SUB    DESCRIPTION\n● nginx.service loaded failed failed A high performance web server\n\nLOAD   = Reflects whether the unit definition was properly loaded.\n1 loaded units listed.\n";
    expect(facts('units', $failed)['facts'])->toBe([
        ['unit' => 'nginx.service', 'state' => 'failed', 'activates' => null, 'next' => null],
    ]);
    $timers =
        "NEXT                        LEFT          LAST                        PASSED       UNIT                         ACTIVATES\nThu 2026-11-26 06:09:12 UTC 2h 3min left  Wed 2026-11-25 18:00:01 UTC 10h ago      apt-daily.timer              apt-daily.service\n-                           -             -                           -            copy-home.timer              copy-home.service\n\n2 timers listed.\n";
    expect(facts('units', $timers)['facts'])
        ->toBe([
            [
                'unit' => 'apt-daily.timer',
                'state' => null,
                'activates' => 'apt-daily.service',
                'next' => 1795673352,
            ],
            [
                'unit' => 'copy-home.timer',
                'state' => null,
                'activates' => 'copy-home.service',
                'next' => null,
            ],
        ])
        ->and(facts('units', "0 loaded units listed.\n"))
        ->toMatchArray(['facts' => [], 'findings' => []])
        ->and(facts('units', 'tea')['findings'][0]['code'])
        ->toBe('intake.not_this');
});

test('the clock, with its offset', function (string $text, array $fact): void {
    expect(array_values(facts('clock', $text)['facts'][0]))->toBe($fact);
})->with([
    [
        "               Local time: Wed 2026-11-25 15:00:00 CET\n                Time zone: Europe/Berlin (CET, +0100)\nSystem clock synchronized: yes\n",
        ['Europe/Berlin', true, 3600],
    ],
    [
        "Time zone: America/St_Johns (NST, -0330)\nSystem clock synchronized: no\n",
        ['America/St_Johns', false, -12600],
    ],
    ["Timezone=Etc/UTC\nNTPSynchronized=yes\n", ['Etc/UTC', true, null]],
]);

test('how long a start took', function (): void {
    $text =
        "Startup finished in 3.102s (kernel) + 1min 2.345s (userspace) = 1min 5.447s\ngraphical.target reached after 21s in userspace.\n";
    expect(facts('boot', $text)['totals'])
        ->toBe(['kernel_seconds' => 3.102, 'userspace_seconds' => 62.345, 'total_seconds' => 65.447])
        ->and(facts('boot', "1min 5.212s apt-daily.service\n      812ms dev-mmcblk0p2.device\n")['facts'])
        ->toBe([
            ['unit' => 'apt-daily.service', 'seconds' => 65.212],
            ['unit' => 'dev-mmcblk0p2.device', 'seconds' => 0.812],
        ]);
});

test('the flags of a weak supply', function (string $flags, array $said): void {
    expect(array_values(facts('power', "throttled={$flags}\n")['facts'][0]))->toBe($said);
})->with([
    ['0x0', [false, false, false, false]],
    ['0x50005', [true, true, true, true]],
    ['0x10000', [false, true, false, false]],
    ['0x4', [false, false, true, false]],
    ['0x40000', [false, false, false, true]],
]);

test('a paste is made what the tool printed', function (): void {
    $printed = "Time zone: Europe/Berlin (CET, +0100)\nSystem clock synchronized: yes";
    $pasted =
        "warden@wren:~ $ timedatectl\r\n\e[1m".
        str_replace("\n", "   \r\n", $printed).
        "\e[0m\r\n\e]0;wren\x07warden@wren:~ $ ";
    expect(trim(Paste::clean($pasted)))
        ->toBe($printed)
        ->and(Paste::clean('{&quot;a&quot;: 1}'))
        ->toBe('{"a": 1}')
        ->and(Paste::clean('fish &amp; chips'))
        ->toBe('fish &amp; chips')
        ->and(Paste::clean("10%\r55%\r100%"))
        ->toBe('100%')
        // The number of a line stays.
        ->and(substr_count(Paste::clean("PS C:\\Users\\desk> Get-Disk\nx"), "\n"))
        ->toBe(1);
});

test('the kind is told by the looks of the text', function (string $kind, string $text): void {
    expect(facts('auto', $text)['kind'])->toBe($kind);
})->with([
    ['leases', "1764000000 02:4b:1e:90:00:07 172.22.8.104 wren *\n"],
    [
        'lsblk',
        '{"blockdevices": [{"name":"sda","size":500,"type":"disk","mountpoints":[null],"ro":false,"rm":false}]}',
    ],
    ['tunnel', 'interface: wg0'],
    ['updates', "openssl/stable-security 3.0.15-1 arm64 [upgradable from: 3.0.14-1]\n"],
    ['clock', "Time zone: Etc/UTC (UTC, +0000)\n"],
    ['boot', "Startup finished in 3s (kernel) + 4s (userspace) = 7s\n"],
    ['power', 'throttled=0x0'],
    ['machine', "ID=debian\nVERSION_CODENAME=bookworm\nPRETTY_NAME=\"Debian\"\n"],
    ['auto', 'nothing that anybody prints'],
]);

test('an upgrade is counted by what it says, a list by its lines', function (): void {
    $run =
        "Reading package lists...\nThe following packages have been kept back:\n  linux-image-arm64 podman\nUnpacking openssl (3.0.15-1) over (3.0.14-1) ...\nUnpacking mpc (0.34-1) ...\nRemoving vim (2:9.0) ...\n1 upgraded, 1 newly installed, 1 to remove and 2 not upgraded.\n";
    $read = facts('updates', $run);
    expect($read['totals'])
        ->toBe(['upgraded' => 1, 'installed' => 1, 'removed' => 1, 'held' => 2])
        ->and(array_map(fn (array $one): string => "{$one['package']} {$one['change']}", $read['facts']))
        ->toBe(['linux-image-arm64 held', 'podman held', 'openssl upgrade', 'mpc new', 'vim removed']);
    $list = facts(
        'updates',
        "Listing...\nopenssl/stable-security 3.0.15-1 arm64 [upgradable from: 3.0.14-1]\n",
    );
    expect($list['totals']['upgraded'])
        ->toBe(1)
        ->and($list['facts'][0])
        ->toMatchArray(['from' => '3.0.14-1', 'to' => '3.0.15-1', 'security' => true]);
});

/** What a terminal of so many columns leaves of a text when it is copied line by line. */
function brokenAt(int $columns, string $text): string
{
    return implode(
        "\n",
        array_merge(
            ...array_map(
                fn (string $line): array => $line === ''
                    ? ['']
                    : array_map(rtrim(...), mb_str_split($line, $columns)),
                explode("\n", $text),
            ),
        ),
    );
}

test('lines that a terminal broke at its edge are joined', function (
    string $kind,
    string $text,
    int $columns,
): void {
    $whole = facts($kind, $text);
    expect($whole['facts'])
        ->not->toBe([])
        ->and(facts($kind, brokenAt($columns, $text))['facts'])
        ->toBe($whole['facts'])
        ->and(facts('auto', "warden@wren:~ $ x\n".brokenAt($columns, $text))['facts'])
        ->toBe($whole['facts']);
})
    ->with([
        'host key' => [
            'hostkeys',
            'wren.home.arpa ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIIm2uMmTbnZDDQWTzCGGYZKbEUHWO6c2bUtC0Dm1UuYx',
        ],
        'lease with a long client id' => [
            'leases',
            "1795673352 02:4b:1e:90:00:07 192.168.20.17 a-rather-long-name-of-a-box ff:1e:90:00:07:00:01:00:01:2c:11\n".
            '1795673353 02:4b:1e:90:00:08 192.168.20.18 wren *',
        ],
        'json on one line' => [
            'lsblk',
            '{"blockdevices": [{"name":"sda","size":128035676160,"type":"disk","model":"a model with blanks","tran":"usb","rm":true,"ro":false}]}',
        ],
        'packages' => [
            'updates',
            "linux-image-arm64-with-a-long-name/stable-security,stable-updates 6.1.119-1 arm64 [upgradable from: 6.1.115-1]\n".
            'openssl/stable-security 3.0.15-1 arm64 [upgradable from: 3.0.14-1]',
        ],
    ])
    ->with([80, 100]);

test('lines that end at the edge by themselves stay', function (): void {
    $name = str_repeat('n', 80 - strlen('1795673352 02:4b:1e:90:00:07 192.168.20.17  *'));
    $text =
        "1795673352 02:4b:1e:90:00:07 192.168.20.17 {$name} *\n".
        '1795673353 02:4b:1e:90:00:08 192.168.20.18 wren *';
    expect(facts('leases', $text)['facts'])->toHaveCount(2);
});

test('texts of two kinds in one paste are both read', function (): void {
    $read = facts(
        'auto',
        "warden@wren:~ $ systemctl --failed\n0 loaded units listed.\nwarden@wren:~ $ timedatectl\nTime zone: Etc/UTC (UTC, +0000)\n".
            "root@wren:~# cat /etc/os-release\nID=debian\nVERSION_CODENAME=bookworm\n",
    );
    expect($read['kind'])
        ->toBe('clock')
        ->and($read['also'][0]['kind'])
        ->toBe('machine')
        ->and($read['also'][0]['facts'][0]['codename'])
        ->toBe('bookworm');
});

test('an array of which only half is told is not called degraded for it', function (
    string $said,
    ?bool $degraded,
): void {
    $text = "/dev/md0:\n           Version : 1.2\n        Raid Level : raid1\n{$said}";
    $fact = Intake::standard()->read('array', $text)->facts[0] ?? null;
    expect($fact?->degraded)->toBe($degraded);
})->with([
    'whole' => ["      Raid Devices : 2\n    Active Devices : 2\n             State : clean\n", false],
    'one is gone' => ["      Raid Devices : 2\n    Active Devices : 1\n             State : clean\n", true],
    'it says so' => [
        "      Raid Devices : 2\n    Active Devices : 2\n             State : clean, degraded\n",
        true,
    ],
    'only how many there are' => ["      Raid Devices : 2\n             State : clean\n", false],
    'only how many work' => ["    Active Devices : 1\n             State : clean\n", false],
    'no state' => ["      Raid Devices : 2\n    Active Devices : 1\n", null],
]);

test('the first disk of a computer is a disk, and so is an empty slot', function (): void {
    $text = (string) json_encode([
        ['Number' => 0, 'Size' => 512110190592, 'FriendlyName' => 'first', 'BusType' => 'NVMe'],
        ['Number' => 999, 'Size' => 0, 'FriendlyName' => 'slot', 'BusType' => 'USB'],
        ['Number' => 1000, 'Size' => 1, 'FriendlyName' => 'none', 'BusType' => 'USB'],
        ['Number' => -1, 'Size' => 1, 'FriendlyName' => 'none', 'BusType' => 'USB'],
        ['Number' => 3, 'Size' => -1, 'FriendlyName' => 'none', 'BusType' => 'USB'],
    ]);
    $reading = Intake::standard()->read('get-disk', $text);
    expect(array_map(fn ($disk): int => $disk->jsonSerialize()['bytes'], $reading->facts))->toBe([
        512110190592,
        0,
    ]);
});
