<?php

declare(strict_types=1);

use Burrow\BringUp\Step\Values;
use Burrow\Card\Target\WriteCommands;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Quantity\Bytes;

// Every command that can destroy is typed into a real bash, with tools that only write down that they were called.

const DESTROYS = [
    'dd',
    'parted',
    'sfdisk',
    'sgdisk',
    'fdisk',
    'wipefs',
    'mkfs',
    'mkfs.ext4',
    'mke2fs',
    'mkswap',
    'mdadm',
    'cryptsetup',
    'shred',
    'blkdiscard',
    'tee',
    'cp',
    'mv',
    'rm',
];

const THE_DISK = ['serial' => 'SEED000007', 'bytes' => '500000000000', 'mounted' => ''];

/**
 * @return array<string, string> every command of every playbook and writer that names a tool which destroys
 *         a disk, filled for one disk
 */
function destructiveCommands(): array
{
    $values = new Values([
        'host' => 'wren',
        'user' => 'warden',
        'address' => '172.22.8.16',
        'mac' => '02:4b:1e:90:00:07',
        'fingerprint' => 'SHA256:x',
        'disk' => 'sdq',
        'disk_partition' => 'sdq1',
        'disk_serial' => THE_DISK['serial'],
        'disk_bytes' => THE_DISK['bytes'],
        'store_label' => 'store',
        'mount_point' => '/srv/store',
        'share' => 'store',
        'uuid' => '3f1c0a52-0d11-4b7e-9a55-1d2e3f405162',
    ]);
    $steps = [];
    foreach (everyStep() as $id => $step) {
        $steps[$id] = (string) $values->fill($step->command);
    }
    $disk = new BlockDevice(
        'sdq',
        Bytes::of((int) THE_DISK['bytes']),
        null,
        THE_DISK['serial'],
        'usb',
        true,
        false,
        [],
        [],
        '/dev/disk/by-id/usb-disk',
    );
    foreach ([DeskSystem::Lsblk, DeskSystem::Diskutil] as $system) {
        foreach (
            WriteCommands::for(
                $system,
                $system === DeskSystem::Diskutil
                    ? new BlockDevice('disk4', $disk->size, null, null, 'usb', true, false, [], [])
                    : $disk,
                'plain.img',
            ) as $command
        ) {
            $steps["{$system->value} {$command->title}"] = $command->command;
        }
    }
    $steps['capacity'] = WriteCommands::capacityTest($disk)->command;

    return array_filter(
        $steps,
        fn (string $text): bool => preg_match(
            '~(?:\bdd |parted |sfdisk|sgdisk|wipefs|mkfs|mdadm|cryptsetup|shred|blkdiscard)~',
            $text,
        ) === 1,
    );
}

/**
 * @param  array<string, string>  $disk  what the tools say of it
 * @return list<string> the destructive tools that were called, in their order
 */
function wiped(string $text, array $disk, string $failing = ''): array
{
    $folder = scratch();
    touch("{$folder}/called");
    $stub = function (string $name, string $body) use ($folder): void {
        file_put_contents("{$folder}/{$name}", "#!/bin/bash\n{$body}\n");
        chmod("{$folder}/{$name}", 0755);
    };
    foreach (DESTROYS as $tool) {
        // What writes into a file of the running system is no disk, and is left out of the count.
        $stub(
            $tool,
            "case \"\$*\" in *--append*/etc/*) cat >/dev/null; exit 0;; esac\n[ -p /dev/stdin ] && cat >/dev/null\necho {$tool} >>{$folder}/called\n".
                ($tool === $failing ? 'exit 1' : 'exit 0'),
        );
    }
    $stub('sudo', 'exec "$@"');
    $stub(
        'lsblk',
        "case \"\$*\" in *SERIAL*) echo '{$disk['serial']}';; *SIZE*) echo '{$disk['bytes']}';; *MOUNTPOINT*) printf '%s\\n\\n' '{$disk['mounted']}';; esac",
    );
    // A disk is away while somebody holds it in hand, and comes back under another number.
    $stub(
        'diskutil',
        "case \"\$*\" in list) n=\$(cat {$folder}/listed 2>/dev/null || echo 0); echo \$((n + 1)) >{$folder}/listed; echo '/dev/disk0 (internal):'; ".
            ($disk['back'] ?? '[ $n -eq 0 ] || echo "/dev/disk7 (external):"').
            ' ;; *) echo plist ;; esac',
    );
    $stub('plutil', "echo '{$disk['bytes']}'");
    foreach (['blkid', 'udevadm', 'udisksctl', 'cmp', 'openssl', 'sync'] as $harmless) {
        $stub($harmless, 'exit 0');
    }
    // Line by line, as a paste into a terminal: what is not one chain goes on after a failure.
    if (str_contains($text, '/dev/tty')) {
        file_put_contents("{$folder}/pasted", $text);
        // A terminal of its own, at which somebody presses Enter when asked.
        run("PATH={$folder}:\$PATH script --quiet --return --command 'bash pasted' /dev/null", "\n\n\n", $folder);
    } else {
        run("PATH={$folder}:\$PATH bash -s", $text, $folder);
    }

    return array_values(array_filter(explode("\n", (string) file_get_contents("{$folder}/called"))));
}

test('there is something to try', function (): void {
    expect(array_keys(destructiveCommands()))
        ->toContain('file-store.package disk-make', 'capacity')
        ->and(count(destructiveCommands()))
        ->toBeGreaterThanOrEqual(4);
});

test('nothing is wiped when the disk is another one', function (string $name): void {
    $text = destructiveCommands()[$name];
    // What the desk's own commands cannot ask for, they do not claim to know.
    $asks = fn (string $what): bool => str_contains($text, $what);
    $wrong = array_filter([
        'no such disk' => ['serial' => '', 'bytes' => '', 'mounted' => ''],
        'another size' => ['bytes' => '500000000001'] + THE_DISK,
        'another serial number' => $asks('SERIAL') ? ['serial' => 'OTHER'] + THE_DISK : null,
        'mounted' => $asks('MOUNTPOINT') ? ['mounted' => '/srv/store'] + THE_DISK : null,
        // Nothing is new, or two are.
        'it did not come back' => $asks('diskutil list') ? ['back' => 'true'] + THE_DISK : null,
        'two came back' => $asks('diskutil list')
            ? ['back' => '[ $n -eq 0 ] || printf "/dev/disk7 (external):\n/dev/disk8 (external):\n"'] + THE_DISK
            : null,
        'a serial number that begins alike' => $asks('SERIAL')
            ? ['serial' => 'SEED0000070'] + THE_DISK
            : null,
    ]);
    foreach ($wrong as $why => $disk) {
        expect([$why, wiped($text, $disk)])->toBe([$why, []]);
    }
    expect(wiped($text, THE_DISK))->not->toBe([]);
})->with(fn (): array => array_map(fn (string $name): array => [$name], array_keys(destructiveCommands())));

test('a chain stops at the first tool that fails', function (): void {
    $text = destructiveCommands()['file-store.package disk-make'];
    expect(wiped($text, THE_DISK))
        ->toBe(['parted', 'mkfs.ext4'])
        ->and(wiped($text, THE_DISK, failing: 'parted'))
        ->toBe(['parted'])
        ->and(run('bash -s', str_replace(['lsblk', 'sudo'], ['false', 'false'], $text))['out'])
        ->toStartWith('STOPPED: ');
});

test('what destroys on the third desk system is one block that looks first and stops', function (): void {
    $disk = new BlockDevice(
        '3',
        Bytes::of(31914983424),
        'reader',
        '7',
        'usb',
        true,
        false,
        [],
        [],
        'USBSTOR\\7',
    );
    $destroying = array_filter(
        WriteCommands::for(DeskSystem::GetDisk, $disk, 'plain.img'),
        fn ($command): bool => preg_match('/Clear-Disk|ReadWrite/', $command->command) === 1 &&
            $command->title !== 'Verify',
    );
    expect($destroying)->toHaveCount(2);
    foreach ($destroying as $command) {
        $lines = explode("\n", $command->command);
        expect($lines[0])
            ->toBe('& {')
            ->and($lines[1])
            ->toBe('$ErrorActionPreference = \'Stop\'')
            ->and($lines[2])
            ->toStartWith('$disk = Get-Disk -ErrorAction Stop -UniqueId ')
            ->and($lines[3])
            ->toContain("SerialNumber.Trim() -ne '7'")
            ->toContain('throw')
            ->and(end($lines))
            ->toBe('}');
    }
});

test('a disk without a serial number is never named for wiping', function (): void {
    $disk = new BlockDevice('sdq', Bytes::of(500000000000), null, null, 'usb', false, false, [], []);
    $choice = Burrow\Stores\DiskChoice::among([$disk], null);
    expect($choice->disk)
        ->toBeNull()
        ->and($choice->findings->codes())
        ->toBe(['stores.disk_without_serial']);
});
