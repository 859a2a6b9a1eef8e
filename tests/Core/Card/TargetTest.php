<?php

declare(strict_types=1);

use Burrow\Card\Draw\DiskBars;
use Burrow\Card\Target\Checksum;
use Burrow\Card\Target\KnownMedium;
use Burrow\Card\Target\TargetGuard;
use Burrow\Card\Target\WriteCommands;
use Burrow\Card\Write\Series;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Catalogue\Part\WriteTime;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Intake;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Rate;

/**
 * Text that the three commands print, for a desk computer with a system disk, a large drive with everything on it, and
 * a card.
 */
function diskList(string $system, bool $card): string
{
    return (string) file_get_contents(
        __DIR__.'/disks/'.$system.($card ? '-with' : '-without').'.txt',
    );
}

/** @return list<BlockDevice> */
function disks(string $system, bool $card = true): array
{
    return Intake::standard()->read($system, diskList($system, $card))->all(BlockDevice::class);
}

function guard(?array $before, array $after, bool $drive = false, array $register = []): TargetGuard
{
    return TargetGuard::among($after, $before, Bytes::giga(2.7), $drive, $register);
}

test('two lists name the card, on each of the desk systems', function (string $system, string $name): void {
    $guard = guard(disks($system, false), disks($system));
    expect($guard->target?->name)
        ->toBe($name)
        ->and($guard->target?->size->count)
        ->toBe(31914983424)
        ->and($guard->findings->blocks())
        ->toBeFalse()
        ->and(
            array_filter($guard->disks, fn ($one): bool => $one->stays === null && $one->disk->name !== $name),
        )
        ->toBe([]);
})->with([['lsblk', 'sdb'], ['diskutil', 'disk4'], ['get-disk', '2']]);

test('the system disk and the drive with everything on it must not be touched', function (
    string $system,
): void {
    $why = array_map(fn ($one): string => (string) $one->stays, guard(null, disks($system))->disks);
    expect($why[0])
        ->toContain('own system runs from it')
        ->and(
            array_filter(
                $why,
                fn (string $one): bool => preg_match('/in use at|more than any card|built in/', $one) === 1,
            ),
        )
        ->not->toBe([]);
})->with(['lsblk', 'diskutil', 'get-disk']);

test('in doubt no disk is named', function (?array $before, array $after, string $words): void {
    $guard = guard($before, $after);
    expect($guard->target)
        ->toBeNull()
        ->and($guard->findings->codes())
        ->toBe(['card.target_in_doubt'])
        ->and($guard->findings->list[0]->found)
        ->toContain($words);
})->with([
    'nothing new' => [fn () => disks('lsblk'), fn () => disks('lsblk'), 'Nothing new'],
    'two new ones' => [
        fn () => [],
        fn () => [
            new BlockDevice('sdb', Bytes::giga(32), null, 'a', 'usb', true, false, [], []),
            new BlockDevice('sdc', Bytes::giga(32), null, 'b', 'usb', true, false, [], []),
        ],
        '2 disks are new',
    ],
    'two by looks' => [
        fn () => null,
        fn () => [
            new BlockDevice('sdb', Bytes::giga(32), null, 'a', 'usb', true, false, [], []),
            new BlockDevice('sdc', Bytes::giga(32), null, 'b', 'usb', true, false, [], []),
        ],
        'More than one',
    ],
    'an empty reader' => [
        fn () => [],
        fn () => [new BlockDevice('sdb', Bytes::of(0), null, null, 'usb', true, false, [], [])],
        'must not be touched: it is an empty reader',
    ],
    'a locked card' => [
        fn () => [],
        fn () => [new BlockDevice('sdb', Bytes::giga(32), null, 'a', 'usb', true, true, [], [])],
        'read-only',
    ],
    'too small' => [
        fn () => [],
        fn () => [new BlockDevice('sdb', Bytes::giga(2), null, 'a', 'usb', true, false, [], [])],
        'the image has 2.7 GB',
    ],
    'a drive that was not declared' => [
        fn () => [],
        fn () => [new BlockDevice('sdb', Bytes::tera(2), null, 'a', 'usb', false, false, [], [])],
        'more than any card holds',
    ],
    'something built in' => [
        fn () => [],
        fn () => [new BlockDevice('nvme1n1', Bytes::giga(500), null, 'a', 'nvme', false, false, [], [])],
        'built in',
    ],
    'mounted where somebody works' => [
        fn () => [],
        fn () => [
            new BlockDevice('sdb', Bytes::giga(32), null, 'a', 'usb', true, false, ['/home/desk/scans'], []),
        ],
        'in use at /home/desk/scans',
    ],
]);

test('one list names a removable disk that is empty or as a new card comes, and nothing else', function (
    array $holds,
    bool $removable,
    bool $named,
): void {
    $card = new BlockDevice('sdb', Bytes::giga(32), null, 'a', 'usb', $removable, false, [], $holds);
    $guard = guard(null, [$card]);
    expect($guard->target?->name)
        ->toBe($named ? 'sdb' : null)
        ->and($guard->findings->codes())
        ->toContain($named ? 'card.target_by_looks' : 'card.target_in_doubt');
})->with([
    [[], true, true],
    [['vfat'], true, true],
    [['exfat NEW CARD'], true, true],
    [['DOS_FAT_32 UNTITLED'], true, true],
    [[], false, false],
    [['vfat BOOTFS', 'ext4 rootfs'], true, false],
    [['ext4 backup'], true, false],
    [['ntfs'], true, false],
    [['2 partitions'], true, false],
]);

// The names are those of libblkid's superblocks and of the other two systems' own lists.
test('a part of an array, a pool or an encrypted disk is never the card, whatever the lists say', function (
    string $holds,
): void {
    $disk = fn (string ...$all): BlockDevice => new BlockDevice(
        'sdb',
        Bytes::giga(64),
        null,
        'a',
        'usb',
        true,
        false,
        [],
        $all,
    );
    foreach ([null, []] as $before) {
        expect(guard($before, [$disk('vfat', $holds)])->target)->toBeNull();
    }
    // Unless the register knows it and lets it go.
    $spare = new KnownMedium('SPARE-2', 'a', 'spare', true, 'tin');
    expect(guard([], [$disk($holds)], register: [$spare])->target?->name)->toBe('sdb');
    $store = Burrow\Stores\DiskChoice::among([$disk($holds)], null);
    expect($store->disk)->toBeNull();
})->with([
    'zfs_member tank',
    'linux_raid_member larder:0',
    'LVM2_member',
    'crypto_LUKS',
    'bcache',
    'btrfs',
    'btrfs pool',
    'isw_raid_member',
    'ddf_raid_member',
    'VMFS_volume_member',
    'ceph_bluestore',
    'BitLocker',
    'drbd',
    'Apple_CoreStorage',
    'Apple_RAID',
]);

test('what somebody mounted by hand is in use', function (string $at, bool $inUse): void {
    $disk = new BlockDevice('sdb', Bytes::giga(64), null, 'a', 'usb', true, false, [$at], ['ext4 x']);
    expect(guard([], [$disk])->target === null)->toBe($inUse);
})->with([
    ['/mnt', true],
    ['/mnt/backup', true],
    ['/media/backup', true],
    ['/media', true],
    ['/media/desk/backup/below', true],
    ['/srv', true],
    ['/media/desk/rootfs', false],
    ['/run/media/desk/rootfs', false],
    ['/Volumes/BOOTFS', false],
]);

test('a list that was asked for without file systems shows none, which is not the same as empty', function (): void {
    $list =
        '{"blockdevices":[{"name":"sdb","size":31914983424,"type":"disk","rm":true,"tran":"usb","serial":"a","children":[{"name":"sdb1","size":31913934848,"type":"part"}]}]}';
    $disks = Intake::standard()->read('lsblk', $list)->all(BlockDevice::class);
    expect(guard(null, $disks)->target)->toBeNull();
});

test('a drive on an adapter is a target when it is declared', function (): void {
    $drive = new BlockDevice('sdc', Bytes::tera(2), 'adapter', 'X1', 'usb', false, false, [], []);
    expect(guard([], [$drive])->target)
        ->toBeNull()
        ->and(guard([], [$drive], true)->target?->name)
        ->toBe('sdc');
});

test('the register has the last word', function (): void {
    $keep = new KnownMedium('LARDER-1', '0x4b1e7702', 'larder starts from it', false, 'in larder');
    $spare = new KnownMedium('SPARE-2', '0x4b1e7702', 'spare', true, 'tin');
    expect(guard(disks('lsblk', false), disks('lsblk'), register: [$keep])->target)
        ->toBeNull()
        ->and(guard(disks('lsblk', false), disks('lsblk'), register: [$keep])->findings->list[0]->found)
        ->toContain('the register says: larder starts from it')
        ->and(guard(disks('lsblk', false), disks('lsblk'), register: [$spare])->findings->codes())
        ->toContain('card.target_known');
});

test('a disk whose letter changed between the lists is the same disk', function (): void {
    $before = [new BlockDevice('sda', Bytes::tera(2), null, 'S1', 'usb', false, false, [], [])];
    $after = [
        new BlockDevice('sda', Bytes::giga(32), null, 'CARD', 'usb', true, false, [], []),
        new BlockDevice('sdb', Bytes::tera(2), null, 'S1', 'usb', false, false, [], []),
    ];
    expect(guard($before, $after)->target?->serial)
        ->toBe('CARD')
        ->and(guard($before, $after)->disks[1]->isNew)
        ->toBeFalse();
});

test('what is on the target is told before it is gone', function (): void {
    $guard = guard(disks('lsblk', false), disks('lsblk'));
    expect($guard->findings->codes())
        ->toContain('card.target_not_empty', 'card.target_mounted')
        ->and($guard->findings->list[0]->why)
        ->toContain('vfat BOOTFS')
        ->toContain('ext4 rootfs');
});

test(
    'whatever the lists, a system disk and a disk that is not to be wiped are never named',
    function (): void {
        mt_srand(11);
        for ($i = 0; $i < 2000; $i++) {
            $any = fn (int $n): BlockDevice => new BlockDevice(
                'sd'.chr(97 + $n),
                Bytes::giga([0, 1, 32, 64, 500, 2000][mt_rand(0, 5)]),
                null,
                mt_rand(0, 3) ? "S{$n}" : null,
                ['usb', 'sata', 'nvme', 'mmc', null][mt_rand(0, 4)],
                (bool) mt_rand(0, 1),
                mt_rand(0, 9) === 0,
                [[], ['/'], ['/media/x'], ['/srv']][mt_rand(0, 3)],
                [],
            );
            $after = array_map($any, range(0, mt_rand(1, 5)));
            $before = mt_rand(0, 2)
                ? array_values(array_filter($after, fn (): bool => (bool) mt_rand(0, 1)))
                : null;
            $kept = new KnownMedium('kept', 'S1', 'kept', false, '');
            $guard = guard($before, $after, (bool) mt_rand(0, 1), [$kept]);
            $target = $guard->target;
            if ($target !== null) {
                expect(
                    $target->isSystem() ||
                        $target->serial === 'S1' ||
                        $target->readOnly ||
                        $target->size->count < 2.7e9,
                )->toBeFalse();
                if ($before !== null) {
                    expect(array_filter($before, fn (BlockDevice $one): bool => $one->isSame($target)))->toBe(
                        [],
                    );
                }
            }
        }
    },
);

test('disks are drawn to one scale', function (): void {
    $rows = DiskBars::of(guard(null, disks('lsblk'))->disks)->rows;
    $widths = array_column($rows, 'width');
    expect(max($widths))
        ->toBe((float) DiskBars::WIDTH)
        ->and($widths[2] / max($widths))
        ->toEqualWithDelta(31914983424 / 2000398934016, 0.002);
});

test('commands name the disk so that it cannot be another one', function (): void {
    $lsblk = WriteCommands::for(DeskSystem::Lsblk, disks('lsblk')[2], 'image.img.xz');
    $all = implode("\n", array_map(fn ($one): string => $one->command, $lsblk));
    expect($all)
        ->toContain("of='/dev/disk/by-id/usb-Generic_STORAGE_DEVICE-0:0'")
        ->not->toContain('/dev/sdb')
        ->and(array_map(fn ($one): string => $one->title, $lsblk))
        ->toBe(['Unpack', 'Let go of it', 'Write', 'Flush', 'Verify', 'Eject'])
        ->and(
            implode(
                "\n",
                array_map(
                    fn ($one): string => $one->command,
                    WriteCommands::for(DeskSystem::Diskutil, disks('diskutil')[3], 'image.img'),
                ),
            ),
        )
        ->toContain('diskutil unmountDisk "$new"')
        ->toContain('read -r _ </dev/tty')
        ->not->toContain('of=/dev/rdisk4')
        ->and(
            implode(
                "\n",
                array_map(
                    fn ($one): string => $one->command,
                    WriteCommands::for(DeskSystem::GetDisk, disks('get-disk')[2], 'image.zip'),
                ),
            ),
        )
        ->toContain("Get-Disk -ErrorAction Stop -UniqueId 'USBSTOR\\Disk&Ven_Generic:DESK'")
        ->toContain('31914983424')
        ->and(fn () => WriteCommands::for(DeskSystem::Lsblk, disks('lsblk')[2], '../image.img'))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => WriteCommands::for(DeskSystem::Lsblk, disks('lsblk')[2], '-rf'))
        ->toThrow(InvalidArgumentException::class);
});

test('checksums as the three tools print them', function (string $printed): void {
    $published = 'E3B0C44298FC1C149AFBF4C8996FB92427AE41E4649B934CA495991B7852B855';
    expect(Checksum::compare($published, $printed)->codes())
        ->toBe(['card.checksum_matches'])
        ->and(Checksum::compare(str_replace('E3', 'E4', $published), $printed)->codes())
        ->toBe(['card.checksum_differs']);
})->with([
    "e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855  image.img.xz\n",
    "e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855 *image.img.xz\n",
    "\nAlgorithm       Hash                                                                   Path\n---------       ----                                                                   ----\nSHA256          E3B0C44298FC1C149AFBF4C8996FB92427AE41E4649B934CA495991B7852B855       C:\\image.img.xz\n",
    "Algorithm : SHA256\nHash      : E3B0C44298FC1C149AFBF4C8996FB92427AE41E4649B934CA495991B7852B855\nPath      : C:\\image.img.xz\n",
    'SHA256 (image.img.xz) = e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855',
]);

test('another kind of checksum is called by its name', function (string $hash, string $kind): void {
    expect(Checksum::compare(str_repeat('a', 64), $hash)->list[0]->found)
        ->toContain($kind)
        ->and(Checksum::compare($hash, str_repeat('a', 64))->codes())
        ->toBe(['card.checksum_unread']);
})->with([
    ['d41d8cd98f00b204e9800998ecf8427e', 'MD5'],
    ['da39a3ee5e6b4b0d3255bfef95601890afd80709', 'SHA-1'],
    [str_repeat('b', 128), 'SHA-512'],
    ['nothing', 'no SHA-256'],
]);

// Common practice, no source: a lite image on a 32 GB card takes 6 to 8 minutes with verify, a full desktop image about
// 15.
test('writing takes what it usually does', function (): void {
    $card = catalogue('card')['card-32-a1'];
    $minutes = fn (string $image): float => (new WriteTime(
        catalogue('image')[$image]->unpacked,
        $card->write,
        $card->read,
    ))->time()->seconds / 60;
    expect($minutes('server-64'))
        ->toBeBetween(5.5, 8.0)
        ->and($minutes('desktop-64'))
        ->toBeBetween(11.0, 16.0);
});

test('the capacity test writes and reads all of it', function (): void {
    $time = new WriteTime(Bytes::giga(2.7), Rate::megabytesPerSecond(10), Rate::megabytesPerSecond(40));
    expect($time->capacityTest(Bytes::giga(32))->seconds)->toEqualWithDelta(3200 + 800, 1e-6);
});

test('mutated disk lists are facts or findings, never an exception', function (string $system): void {
    mt_srand(5);
    for ($i = 0; $i < 800; $i++) {
        $text = diskList($system, true);
        for ($turn = mt_rand(1, 5); $turn > 0; $turn--) {
            $at = mt_rand(0, strlen($text));
            $text = mt_rand(0, 1)
                ? substr_replace(
                    $text,
                    ['<', '}', '"', '-1', '<!ENTITY a "b">', "\xff", '9999999999999999999', 'null'][
                        mt_rand(0, 7)
                    ],
                    $at,
                    mt_rand(0, 9),
                )
                : substr($text, 0, $at);
        }
        $reading = Intake::standard()->read($system, $text);
        $guard = guard(null, $reading->all(BlockDevice::class));
        expect($guard->findings->count() + $reading->findings->count())->toBeGreaterThan(0);
    }
})->with(['lsblk', 'diskutil', 'get-disk']);

test(
    'a series steps over the pool, the router and what is taken, and ends with the network',
    function (): void {
        $network = new LocalNetwork(
            Prefix::parse('172.22.8.0/28'),
            Ipv4::parse('172.22.8.1'),
            AddressRange::between(Ipv4::parse('172.22.8.6'), Ipv4::parse('172.22.8.9')),
            'x',
        );
        $series = fn (int $count, string $first): Series => Series::of(
            'bed',
            $count,
            Ipv4::parse($first),
            $network,
            ['bed-9'],
            [Ipv4::parse('172.22.8.4')->number => 'larder'],
        );
        expect(
            array_map(
                fn (array $one): string => "{$one['name']} {$one['address']}",
                $series(4, '172.22.8.0')->members,
            ),
        )
            ->toBe(['bed-1 172.22.8.2', 'bed-2 172.22.8.3', 'bed-3 172.22.8.5', 'bed-4 172.22.8.10'])
            ->and($series(9, '172.22.8.2')->findings->codes())
            ->toContain('addresses.name_taken')
            ->and($series(8, '172.22.8.2')->findings->codes())
            ->toBe([])
            ->and($series(8, '172.22.8.10')->findings->codes())
            ->toBe(['card.series_too_long'])
            ->and(fn () => $series(41, '172.22.8.2'))
            ->toThrow(InvalidArgumentException::class);
    },
);

test('two checksums that differ are told by their first twelve digits', function (): void {
    $found = Checksum::compare(
        '0123456789abcdef'.str_repeat('0', 48),
        'fedcba9876543210'.str_repeat('1', 48),
    )->list[0];
    expect($found->why)->toBe(
        'It was cut off, changed, or belongs to another version: fedcba987654… and not 0123456789ab….',
    );
});

test('an image file of any name is one word on each of the desk systems', function (string $image): void {
    foreach (['lsblk' => 2, 'diskutil' => 3, 'get-disk' => 2] as $system => $at) {
        $commands = WriteCommands::for(DeskSystem::from($system), disks($system)[$at], $image);
        $written = implode("\n", array_map(fn ($one): string => $one->command, $commands));
        $plain = preg_replace('/\.(?:xz|gz|zip)$/', '', $image);
        $word = $system === 'get-disk' ? "'".str_replace("'", "''", $plain)."'" : escapeshellarg($plain);
        expect(substr_count($written, $word))
            ->toBeGreaterThanOrEqual(2)
            // The packed file is unpacked first, and only then.
            ->and($commands[0]->title === 'Unpack')
            ->toBe($plain !== $image);
    }
})->with(['image.img', 'image.img.xz', 'image.zip', "it's one.img", 'a b & c.img.gz', '$(id).img']);
