<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Files\WrittenFile;
use Burrow\Intake\Intake;
use Burrow\Intake\Shares\ShareFact;
use Burrow\Intake\Storage\FillFact;
use Burrow\Intake\Storage\MountFact;
use Burrow\Intake\Storage\PartitionFact;
use Burrow\Stores\Alike\AlikeSaid;
use Burrow\Stores\Alike\AlikeScript;

// Disks, shares and what is mounted, against the programs that read and print it.

function storesFile(string $kind, array $values): WrittenFile
{
    $writer = FileKinds::all()[$kind];

    return $writer->write(
        (string) json_encode($values === [] ? new stdClass() : $values),
        (string) file_get_contents($writer->schema()),
        'values',
    );
}

test('findmnt takes the lines that are written, and reads in them what was meant', function (): void {
    $folder = scratch();
    mkdir("{$folder}/seed scans");
    $written = storesFile('fstab', [
        'entries' => [
            [
                'source' => 'UUID=7c9e6679-7425-40de-944b-e07fc1f90ae7',
                'mount' => "{$folder}/seed scans",
                'fstype' => 'ext4',
                'options' => ['noatime'],
            ],
            [
                'source' => '//larder/store',
                'mount' => $folder,
                'fstype' => 'cifs',
                'options' => ['credentials=/etc/store.login'],
                'needed' => true,
            ],
            ['source' => '/swapfile', 'mount' => 'none', 'fstype' => 'swap', 'options' => ['sw']],
        ],
    ]);
    file_put_contents("{$folder}/fstab", (string) $written->text);
    $verified = run("findmnt --verify --tab-file {$folder}/fstab");
    // The disk is not on this machine, which is all that is wrong with it.
    expect($verified['all'])
        ->not->toContain('wrong order')
        ->and($verified['all'])
        ->toContain('0 parse errors')
        ->and($written->findings->codes())
        ->toBe([]);
    $theirs = json_decode(
        run("findmnt --tab-file {$folder}/fstab --json --list -o SOURCE,TARGET,FSTYPE,OPTIONS")['out'],
        true,
    )['filesystems'];
    $ours = Intake::standard()->read('mounts', (string) $written->text)->all(MountFact::class);
    expect(
        array_map(
            fn (MountFact $one): array => [
                $one->source,
                $one->mount ?? 'none',
                $one->fstype,
                implode(',', $one->options),
            ],
            $ours,
        ),
    )
        ->toBe(
            array_map(
                fn (array $one): array => [$one['source'], $one['target'], $one['fstype'], $one['options']],
                $theirs,
            ),
        )
        ->and($ours[1]->options)
        ->toBe(['noatime', 'nofail', 'x-systemd.device-timeout=10s'])
        ->and((string) $written->text)
        ->toContain('ext4 noatime,nofail,x-systemd.device-timeout=10s 0 2');
});

test('partitions lie where the script says, to the block', function (
    string $table,
    int $bytes,
    array $partitions,
): void {
    $folder = scratch();
    $written = storesFile('sfdisk', ['disk_bytes' => $bytes, 'table' => $table, 'partitions' => $partitions]);
    expect($written->findings->blocks())->toBeFalse();
    file_put_contents("{$folder}/script", (string) $written->text);
    $made = run(
        "truncate -s {$bytes} {$folder}/disk && sfdisk --quiet {$folder}/disk <{$folder}/script && sfdisk --verify {$folder}/disk",
    );
    expect([$made['exit'], $made['err']])->toBe([0, '']);
    // Two forms of the tool's own report, read by us.
    $facts = fn (string $options): array => Intake::standard()
        ->read('partitions', run("sfdisk {$options} {$folder}/disk")['out'])
        ->all(PartitionFact::class);
    $json = $facts('--json');
    $wanted = array_map(
        fn (array $one): ?int => isset($one['mib']) ? $one['mib'] * 1048576 : null,
        $partitions,
    );
    foreach ($json as $i => $fact) {
        expect($fact->bytes)
            ->toBe($wanted[$i] ?? $fact->bytes)
            ->and(($fact->start * 512) % 1048576)
            ->toBe(0);
    }
    $listed = $facts('--list');
    expect(array_map(fn (PartitionFact $one): array => [$one->start, $one->bytes, $one->table], $listed))
        ->toBe(array_map(fn (PartitionFact $one): array => [$one->start, $one->bytes, $one->table], $json))
        ->and(count($json))
        ->toBe(count($partitions));
    $end = (int) end($json)->start * 512 + (int) end($json)->bytes;
    isset($partitions[array_key_last($partitions)]['mib']) ||
        expect($bytes - $end)->toBeLessThan(3 * 1048576);
})->with([
    'a large store' => ['gpt', 3_000_592_982_016, [['name' => 'store']]],
    'a card' => [
        'dos',
        31_914_983_424,
        [['mib' => 512, 'type' => 'fat', 'bootable' => true], ['type' => 'linux']],
    ],
    'three of the newer kind' => [
        'gpt',
        500_107_862_016,
        [['mib' => 512, 'type' => 'efi'], ['mib' => 4096, 'type' => 'swap'], ['name' => 'root']],
    ],
]);

test('the older kind of table ends at 2.199 TB, and says so', function (): void {
    $written = storesFile('sfdisk', [
        'disk_bytes' => 3_000_592_982_016,
        'table' => 'dos',
        'partitions' => [['type' => 'linux']],
    ]);
    expect($written->text)
        ->toBeNull()
        ->and($written->findings->list[0]->code)
        ->toBe('stores.beyond_old_table')
        // Published: 2^32 sectors of 512 bytes.
        ->and($written->findings->list[0]->found)
        ->toContain('2.2 TB');
});

test(
    'testparm takes the shares that are written, and what it makes of them is what was meant',
    function (): void {
        $folder = scratch();
        $written = storesFile('smb', [
            'workgroup' => 'LIBRARY',
            'server' => 'larder',
            'homes' => true,
            'shares' => [
                [
                    'name' => 'store',
                    'path' => '/srv/store',
                    'users' => ['warden', '@desk'],
                    'comment' => 'the seed scans',
                ],
                [
                    'name' => 'reading room',
                    'path' => '/srv/reading room',
                    'read_only' => true,
                    'guest' => true,
                    'writers' => ['warden'],
                ],
            ],
        ]);
        file_put_contents("{$folder}/smb.conf", (string) $written->text);
        $parsed = run("testparm --suppress-prompt {$folder}/smb.conf");
        expect($parsed['err'])
            ->toContain('Loaded services file OK')
            ->and($parsed['err'])
            ->not->toMatch('/Unknown parameter|WARNING|ERROR/');
        $read = fn (string $text): array => array_map(
            fn (ShareFact $one): array => [$one->name, $one->path, $one->readOnly, $one->guest, $one->users],
            Intake::standard()->read('shares', $text)->all(ShareFact::class),
        );
        expect($read($parsed['out']))
            ->toBe($read((string) $written->text))
            ->and($read((string) $written->text)[1])
            ->toBe(['store', '/srv/store', false, false, ['warden', '@desk']]);
    },
);

test('an export is read back as it was meant', function (): void {
    $written = storesFile('exports', [
        'exports' => [
            [
                'path' => '/srv/seed scans',
                'clients' => [['client' => '172.22.8.0/24', 'access' => 'rw'], ['client' => 'lantern']],
            ],
        ],
    ]);
    $read = Intake::standard()->read('shares', (string) $written->text)->all(ShareFact::class);
    expect(array_map(fn (ShareFact $one): array => [$one->path, $one->client, $one->access], $read))->toBe([
        ['/srv/seed scans', '172.22.8.0/24', 'rw'],
        ['/srv/seed scans', 'lantern', 'ro'],
    ]);
});

test('a mount unit has the name that systemd wants of its place, and says what was meant', function (): void {
    mt_srand(31);
    $folder = scratch();
    $letters = [...str_split('abcXYZ019.-_:% ~@#+,\''), 'ä', '\\', 'λ'];
    $some = fn (): string => implode(
        '',
        array_map(fn (): string => $letters[array_rand($letters)], range(1, mt_rand(1, 8))),
    );
    $seen = 0;
    for ($i = 0; $i < 150; $i++) {
        $mount = '/srv/'.$some().(mt_rand(0, 1) === 1 ? '/'.$some() : '');
        $label = $some();
        $written = storesFile('mount', [
            'source' => "LABEL={$label}",
            'mount' => $mount,
            'fstype' => 'ext4',
            'options' => ['noatime', 'x-note=50%'],
        ]);
        if ($written->text === null) {
            expect([$mount, $label, $written->findings->codes() !== []])->toBe([$mount, $label, true]);

            continue;
        }
        $seen++;
        preg_match('~^# /etc/systemd/system/(.*)$~m', $written->text, $name);
        $theirs = run('systemd-escape --path --suffix=mount '.escapeshellarg($mount));
        expect($name[1])->toBe(trim($theirs['out']));
        file_put_contents("{$folder}/{$name[1]}", $written->text);
        preg_match('~^What=(.*)$~m', $written->text, $what);
        preg_match('~^# /etc/systemd/system/(.*)\.device\.d/~m', $written->text, $device);
        expect($device[1])->toBe(
            trim(run('systemd-escape --path '.escapeshellarg(str_replace('%%', '%', $what[1])))['out']),
        );
    }
    expect($seen)->toBeGreaterThan(80);
    // It refuses a unit whose place is not that of its name, and one that it cannot read.
    $units = implode(' ', array_map(escapeshellarg(...), glob("{$folder}/*.mount") ?: []));
    expect(run("systemd-analyze verify --man=no {$units}")['all'])->not->toMatch(
        '/Refusing|bad unit|Failed to parse|ignoring/i',
    );
});

test('what a format cannot carry is told and not written', function (
    string $kind,
    array $values,
    string $code,
): void {
    $written = storesFile($kind, $values);
    expect($written->findings->codes())
        ->toContain($code)
        ->and($written->findings->blocks())
        ->toBe($written->text === null);
})->with([
    'a comma in an option' => [
        'fstab',
        [
            'entries' => [
                ['source' => '/dev/sda1', 'mount' => '/srv', 'fstype' => 'ext4', 'options' => ['a,b']],
            ],
        ],
        'stores.not_carried',
    ],
    'a line in a mount point' => [
        'fstab',
        ['entries' => [['source' => '/dev/sda1', 'mount' => "/srv\n/x", 'fstype' => 'ext4']]],
        'yaml.control_in_value',
    ],
    'a mount unit above its place' => [
        'mount',
        ['source' => '/dev/sda1', 'mount' => '/srv/../etc', 'fstype' => 'ext4'],
        'stores.not_a_mount_point',
    ],
    'a mount unit that goes on in the next line' => [
        'mount',
        ['source' => '/dev/sda1', 'mount' => '/srv/a\\', 'fstype' => 'ext4'],
        'stores.not_carried',
    ],
    'a mount unit of nothing' => [
        'mount',
        ['source' => 'sda1', 'mount' => '/srv/a', 'fstype' => 'ext4'],
        'stores.not_a_source',
    ],
    'no path' => [
        'fstab',
        ['entries' => [['source' => '/dev/sda1', 'mount' => 'srv', 'fstype' => 'ext4']]],
        'stores.not_a_mount_point',
    ],
    'two at one place' => [
        'fstab',
        [
            'entries' => [
                ['source' => '/dev/sda1', 'mount' => '/srv', 'fstype' => 'ext4'],
                ['source' => '/dev/sdb1', 'mount' => '/srv', 'fstype' => 'ext4'],
            ],
        ],
        'stores.mounted_twice',
    ],
    'a share called homes' => [
        'smb',
        ['shares' => [['name' => 'Homes', 'path' => '/srv']]],
        'stores.not_a_share_name',
    ],
    'a bracket' => ['smb', ['shares' => [['name' => 'a]', 'path' => '/srv']]], 'stores.not_a_share_name'],
    'two that differ by case' => [
        'smb',
        ['shares' => [['name' => 'Store', 'path' => '/a'], ['name' => 'store', 'path' => '/b']]],
        'stores.share_twice',
    ],
    'like a home' => [
        'smb',
        ['homes' => true, 'shares' => [['name' => 'warden', 'path' => '/a', 'users' => ['warden']]]],
        'stores.like_a_home',
    ],
    'guests and users' => [
        'smb',
        ['shares' => [['name' => 'a', 'path' => '/a', 'guest' => true, 'users' => ['warden']]]],
        'stores.guest_and_users',
    ],
    'a client with a blank' => [
        'exports',
        ['exports' => [['path' => '/srv', 'clients' => [['client' => 'a b']]]]],
        'stores.not_a_client',
    ],
    'bits of a machine in a prefix' => [
        'exports',
        ['exports' => [['path' => '/srv', 'clients' => [['client' => '172.22.8.1/24']]]]],
        'stores.not_a_client',
    ],
    'everybody writes' => [
        'exports',
        ['exports' => [['path' => '/srv', 'clients' => [['client' => '*', 'access' => 'rw']]]]],
        'stores.everybody_writes',
    ],
    'five of four' => [
        'sfdisk',
        ['disk_bytes' => 31_914_983_424, 'table' => 'dos', 'partitions' => array_fill(0, 5, ['mib' => 10])],
        'stores.four_partitions',
    ],
    'larger than the disk' => [
        'sfdisk',
        ['disk_bytes' => 1_000_000_000, 'partitions' => [['mib' => 1000]]],
        'stores.partition_too_large',
    ],
    'rest in the middle' => [
        'sfdisk',
        ['disk_bytes' => 31_914_983_424, 'partitions' => [['type' => 'linux'], ['mib' => 10]]],
        'stores.only_the_last',
    ],
    'something left over' => [
        'sfdisk',
        ['disk_bytes' => 31_914_983_424, 'partitions' => [['mib' => 1000]]],
        'stores.left_over',
    ],
    'a service that no file holds' => [
        'compose',
        ['service' => 'A b', 'image' => 'x', 'folder' => '/data'],
        'bringup.cannot_be_written',
    ],
]);

test('units, sites and settings from the terminal are those that their programs take', function (): void {
    $folder = scratch();
    $unit = storesFile('systemd', [
        'what' => 'counts seeds',
        'command' => ['/bin/true', 'a "b" $c 50%'],
        'user' => 'root',
        'groups' => ['video'],
    ]);
    file_put_contents("{$folder}/box-count.service", (string) $unit->text);
    $verified = run("systemd-analyze verify {$folder}/box-count.service");
    expect([$verified['exit'], $verified['err']])->toBe([0, '']);
    $apt = storesFile('unattended-upgrades', []);
    file_put_contents("{$folder}/apt.conf", (string) $apt->text);
    expect(run("APT_CONFIG={$folder}/apt.conf apt-config dump")['out'])->toContain(
        'APT::Periodic::Unattended-Upgrade "1";',
    );
    expect(
        (string) storesFile('nginx-site', [
            'host' => 'dewpoint',
            'domain' => 'thistledown.home.arpa',
            'port' => 8082,
        ])->text,
    )->toContain('proxy_pass http://127.0.0.1:8082;');
});

test('df of this machine, in blocks and in bytes, is read as the kernel has it', function (): void {
    $read = fn (string $options): array => array_column(
        array_map(
            fn (FillFact $one): array => [$one->mount, $one->bytes, $one->usedBytes],
            Intake::standard()
                ->read('fill', run("df {$options} /")['out'])
                ->all(FillFact::class),
        ),
        null,
        0,
    );
    $stat = preg_split('/\s+/', trim(run("stat --file-system --format='%S %b %f' /")['out'])) ?: [];
    $all = (int) $stat[0] * (int) $stat[1];
    foreach (['-B1', '-T -B1', '-P -B1'] as $options) {
        expect($read($options)['/'][1])->toBe($all);
    }
    foreach (['', '-k', '-P -k'] as $options) {
        expect(abs($read($options)['/'][1] - $all))->toBeLessThan(1024);
    }
});

test('what is mounted here is the same in four forms', function (): void {
    $read = function (string $command): array {
        $all = array_map(
            fn (MountFact $one): string => "{$one->source} {$one->mount} {$one->fstype}",
            Intake::standard()->read('mounts', run($command)['out'])->all(MountFact::class),
        );
        sort($all);

        return array_values(
            array_unique(
                array_filter(
                    $all,
                    fn (string $one): bool => ! str_contains($one, 'overlay') && ! str_contains($one, 'nsfs'),
                ),
            ),
        );
    };
    // findmnt names the part of a file system in brackets.
    $plain = fn (array $all): array => array_values(
        array_unique(
            array_map(fn (string $one): string => (string) preg_replace('/\[\S*\]/', '', $one), $all),
        ),
    );
    $tree = $plain($read('findmnt'));
    expect($plain($read('findmnt --json')))
        ->toBe($tree)
        ->and(count(array_diff($plain($read('cat /proc/mounts')), $tree)))
        ->toBe(0)
        ->and(count(array_diff($plain($read('mount')), $tree)))
        ->toBe(0);
});

test('both ends say the same line as long as they hold the same, in each shell', function (string $shell): void {
    $folder = scratch();
    foreach (['a', 'b'] as $end) {
        mkdir("{$folder}/{$end}/it's \$HOME", 0755, true);
        file_put_contents("{$folder}/{$end}/it's \$HOME/seeds; rm -rf .txt", 'poppy');
        file_put_contents("{$folder}/{$end}/-n", 'x');
    }
    file_put_contents("{$folder}/look", AlikeScript::of("{$folder}/a"));
    $look = fn (): AlikeSaid => AlikeSaid::of(
        run("{$shell} {$folder}/look; {$shell} {$folder}/look {$folder}/b")['out'],
    );
    expect(run("shellcheck {$folder}/look")['exit'])
        ->toBe(0)
        ->and($look()->isAlike())
        ->toBeTrue()
        ->and($look()->ends[0]['files'])
        ->toBe(2);
    file_put_contents("{$folder}/b/seeds (Conflict of desk).txt", 'other');
    expect($look()->isAlike())
        ->toBeTrue()
        ->and($look()->conflicts)
        ->toBe(['./seeds (Conflict of desk).txt' => 5]);
    file_put_contents("{$folder}/b/-n", 'xy');
    expect($look()->isAlike())->toBeFalse();
    unlink("{$folder}/b/-n");
    expect($look()->isAlike())
        ->toBeFalse()
        ->and(AlikeSaid::of(run("{$shell} {$folder}/look {$folder}/gone")['out'])->isEmpty())
        ->toBeTrue();
})->with(['dash', 'bash', 'busybox sh']);
