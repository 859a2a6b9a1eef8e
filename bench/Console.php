<?php

declare(strict_types=1);

namespace Bench;

/** What a board answers to the commands of a playbook. It knows those commands and no others. */
final readonly class Console
{
    private const CARD_BYTES = 31914983424;

    public function __construct(private PackageIndex $index)
    {
    }

    /**
     * Runs a command text line by line; here-documents are taken together. The caller restarts the board when it asks.
     */
    public function run(Board $board, string $text): string
    {
        $output = [];
        $lines = explode("\n", (string) preg_replace('/[ \t]*\\\\\n[ \t]*/', ' ', str_replace("\r", '', $text)));
        for ($i = 0; $i < count($lines); $i++) {
            $body = '';
            if (preg_match("/^(.*?)\s*<<'([A-Z]+)'$/", $lines[$i], $match) === 1) {
                for ($i++; $i < count($lines) && $lines[$i] !== $match[2]; $i++) {
                    $body .= $lines[$i]."\n";
                }
                $output[] = $this->append($board, $match[1], $body);
            } elseif (trim($lines[$i]) !== '') {
                $output[] = $this->chain($board, trim($lines[$i]));
            }
        }

        return implode("\n", array_filter($output, fn (string $line): bool => $line !== ''));
    }

    /**
     * Commands joined by “&&”: each runs while the ones before it went well; behind “||” stands what is said when one
     * did not.
     */
    private function chain(Board $board, string $line): string
    {
        [$commands, $otherwise] = [...explode(' || ', $line, 2), ''];
        $output = [];
        foreach (explode(' && ', $commands) as $command) {
            $said = $this->one($board, preg_replace('/^sudo /', '', trim($command)) ?? '');
            if ($said === null || preg_match('/^(?:Error:|mke2fs .* does not exist|bash: )/', $said) === 1) {
                $output[] = (string) $said;
                $output[] = preg_match("/^echo '?(.*?)'?$/", $otherwise, $match) === 1 ? $match[1] : '';
                break;
            }
            $output[] = $said;
        }

        return implode("\n", array_filter($output, fn (string $one): bool => $one !== ''));
    }

    private function append(Board $board, string $command, string $body): string
    {
        if (preg_match('~tee --append (/etc/\S+)~', $command, $match) !== 1) {
            return $this->unknown($command);
        }
        $board->system[$match[1]] = ($board->system[$match[1]] ?? '').$body;

        return rtrim($body, "\n");
    }

    /** What a command prints; null when it fails without a word, as test(1) does. */
    private function one(Board $board, string $command): ?string
    {
        $words = preg_split('/\s+/', $command) ?: [''];

        return match (true) {
            str_starts_with($command, 'apt-get update') => $this->aptUpdate($board),
            str_starts_with($command, 'apt-get --yes full-upgrade') => $this->aptUpgrade($board),
            str_starts_with($command, 'lsblk') => $this->lsblk($board),
            str_starts_with($command, 'test ') => $this->test($board, $command) ? '' : null,
            str_starts_with($command, 'parted ') => $this->parted($board),
            str_starts_with($command, 'mkfs.ext4 ') => $this->mkfs($board, $words),
            str_starts_with($command, 'blkid ') => $board->disk->uuid ?? '',
            str_starts_with($command, 'mount ') => $this->mount($board, $words[1] ?? ''),
            str_starts_with($command, 'findmnt ') => $this->findmnt($board),
            str_starts_with($command, 'testparm') => $this->testparm($board),
            preg_match('/^systemctl (enable|restart) smbd$/', $command) === 1 => $this->smbd($board),
            str_starts_with($command, 'smbpasswd -a ') => $this->smbpasswd($board, $words[2] ?? ''),
            preg_match('/^(mkdir|chown|udevadm settle|systemctl daemon-reload|systemctl reboot)\b/', $command) === 1 => '',
            default => $this->unknown($command),
        };
    }

    private function unknown(string $command): string
    {
        return 'bash: '.strtok($command, ' ').': the bench does not know this command';
    }

    private function aptUpdate(Board $board): string
    {
        $board->pending = isset($board->system['upgraded']) ? 0 : count($this->index->pending());

        return "Get:1 bench stable InRelease [151 kB]\nGet:2 bench stable/main Packages [8,693 kB]\nFetched 8,844 kB in 4s\nReading package lists... Done";
    }

    private function aptUpgrade(Board $board): string
    {
        $names = $board->pending > 0 ? $this->index->pending() : [];
        $count = count($names);
        $board->pending = 0;
        if ($count > 0) {
            $board->system['upgraded'] = 'yes';
        }
        $list = $count === 0 ? '' : "The following packages will be upgraded:\n  ".implode(' ', $names)."\n";
        $scroll = implode("\n", array_map(fn (string $name): string => "Setting up {$name} ...", $names));

        return rtrim(
            "Reading package lists... Done\nBuilding dependency tree... Done\n{$list}{$count} upgraded, 0 newly installed, 0 to remove and 0 not upgraded.\n{$scroll}",
        );
    }

    private function lsblk(Board $board): string
    {
        $row = fn (
            string $name,
            int $size,
            string $type,
            ?string $fs,
            ?string $label,
            ?string $uuid,
            ?string $mount,
            ?string $serial,
            ?string $tran,
        ): array => [
            'name' => $name,
            'size' => $size,
            'type' => $type,
            'fstype' => $fs,
            'label' => $label,
            'uuid' => $uuid,
            'mountpoints' => [$mount],
            'ro' => false,
            'rm' => false,
            'model' => null,
            'serial' => $serial,
            'tran' => $tran,
        ];
        $devices = [
            $row('mmcblk0', self::CARD_BYTES, 'disk', null, null, null, null, '0x2b7e1516', null) + [
                'children' => [
                    $row('mmcblk0p1', 536870912, 'part', 'vfat', 'bootfs', null, '/boot/firmware', null, null),
                    $row(
                        'mmcblk0p2',
                        self::CARD_BYTES - 541065216,
                        'part',
                        'ext4',
                        'rootfs',
                        '00000000-0000-4000-8000-000000000001',
                        '/',
                        null,
                        null,
                    ),
                ],
            ],
        ];
        if ($board->disk !== null) {
            $disk = $row('sda', $board->disk->bytes, 'disk', null, null, null, null, $board->disk->serial, 'usb');
            if ($board->disk->partitioned) {
                $disk['children'] = [
                    $row(
                        'sda1',
                        $board->disk->bytes - 2097152,
                        'part',
                        $board->disk->uuid === null ? null : 'ext4',
                        $board->disk->label ?: null,
                        $board->disk->uuid,
                        $board->disk->mountedAt,
                        null,
                        null,
                    ),
                ];
            }
            array_unshift($devices, $disk);
        }

        return (string) json_encode(['blockdevices' => $devices], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES);
    }

    private function test(Board $board, string $command): bool
    {
        preg_match('/--output ([A-Z]+) .*\)"(?: = (\S+))?$/', $command, $match);

        return match ($match[1] ?? '') {
            'SERIAL' => $board->disk !== null && ($match[2] ?? '') === $board->disk->serial,
            'SIZE' => $board->disk !== null && ($match[2] ?? '') === (string) $board->disk->bytes,
            'MOUNTPOINT' => $board->disk !== null && $board->disk->mountedAt === null,
            default => false,
        };
    }

    private function parted(Board $board): string
    {
        if ($board->disk === null) {
            return 'Error: Could not stat device /dev/sda - No such file or directory.';
        }
        $board->disk->partitioned = true;

        return '';
    }

    /** @param  list<string>  $words */
    private function mkfs(Board $board, array $words): string
    {
        if ($board->disk === null || ! $board->disk->partitioned) {
            return 'mke2fs 1.47.0: The file /dev/sda1 does not exist and no size was specified.';
        }
        $bytes = random_bytes(16);
        $bytes[6] = chr((ord($bytes[6]) & 0x0F) | 0x40);
        $bytes[8] = chr((ord($bytes[8]) & 0x3F) | 0x80);
        $board->disk->uuid = vsprintf('%s%s-%s-%s-%s-%s%s%s', str_split(bin2hex($bytes), 4));
        $board->disk->label = $words[2] ?? '';

        return "mke2fs 1.47.0 (5-Feb-2023)\nFilesystem UUID: {$board->disk->uuid}\nWriting superblocks and filesystem accounting information: done";
    }

    private function mount(Board $board, string $point): string
    {
        return $board->mount($point) ? '' : "mount: {$point}: can't find in /etc/fstab.";
    }

    private function findmnt(Board $board): string
    {
        return $board->disk?->mountedAt === null
            ? ''
            : "TARGET SOURCE FSTYPE OPTIONS\n{$board->disk->mountedAt} /dev/sda1 ext4 rw,relatime";
    }

    private function testparm(Board $board): string
    {
        return "Load smb config files from /etc/samba/smb.conf\nLoaded services file OK.\n".
            $board->system['/etc/samba/smb.conf'];
    }

    private function smbd(Board $board): string
    {
        if (! in_array('samba', $board->boot->packages ?? [], true)) {
            return 'Failed to enable unit: Unit file smbd.service does not exist.';
        }
        $board->system['smbd enabled'] = 'yes';

        return '';
    }

    private function smbpasswd(Board $board, string $user): string
    {
        if ($user !== ($board->boot->user ?? '')) {
            return "Failed to add entry for user {$user}.";
        }
        $board->shareUsers[] = $user;

        return "New SMB password:\nRetype new SMB password:\nAdded user {$user}.";
    }
}
