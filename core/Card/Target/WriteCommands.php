<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Text\PowerWord;
use InvalidArgumentException;

/**
 * From a packed image to an ejected card, as commands for the desk computer's system. They name the disk so that it
 * cannot be another one.
 */
final class WriteCommands
{
    /** Said when a check before writing failed, or the writing itself. */
    private const STOPPED = "echo 'STOPPED: this is not the disk that was chosen, or it is mounted, or a command failed'";

    /** Prints every disk of the desk computer, as its reader takes it. */
    public static function listing(DeskSystem $system): string
    {
        return match ($system) {
            DeskSystem::Lsblk => implode("\n", [
                'lsblk --json --bytes --output NAME,SIZE,TYPE,RM,HOTPLUG,RO,TRAN,MODEL,SERIAL,FSTYPE,LABEL,MOUNTPOINTS',
                'ls -l /dev/disk/by-id/',
            ]),
            DeskSystem::Diskutil => implode("\n", [
                'diskutil list -plist',
                'for disk in $(diskutil list | grep -o \'^/dev/disk[0-9]*\'); do diskutil info -plist "$disk"; done',
            ]),
            DeskSystem::GetDisk => 'Get-Disk | Select-Object Number, FriendlyName, SerialNumber, UniqueId, Size, BusType,'.
                ' IsSystem, IsBoot, IsReadOnly, NumberOfPartitions | ConvertTo-Json',
        };
    }

    /**
     * What a person types back before they see the commands: the by-id path, the unique id, or name and size where
     * there is neither.
     */
    public static function nameOf(BlockDevice $target): string
    {
        return $target->stable ?? "{$target->name} {$target->size->count}";
    }

    /**
     * @param  string  $image  file name of the image as it was downloaded
     * @return non-empty-list<DeskCommand>
     *
     * @throws InvalidArgumentException for a file name with a path or a line break in it
     */
    public static function for(DeskSystem $system, BlockDevice $target, string $image): array
    {
        if ($image === '' || preg_match('~[/\\\\\r\n\x00]~', $image) === 1 || $image[0] === '-') {
            throw new InvalidArgumentException('One file name, without a path.');
        }

        return match ($system) {
            DeskSystem::Lsblk => self::lsblk($target, $image),
            DeskSystem::Diskutil => self::diskutil($target, $image),
            DeskSystem::GetDisk => self::getDisk($target, $image),
        };
    }

    /** The whole disk filled with a stream that repeats nowhere, and read back: what a counterfeit card cannot pass. */
    public static function capacityTest(BlockDevice $target): DeskCommand
    {
        $stream = 'openssl enc -aes-256-ctr -nosalt -pbkdf2 -pass pass:capacity -in /dev/zero 2>/dev/null';
        $disk = escapeshellarg($target->stable ?? '');
        $bytes = $target->size->count;

        return new DeskCommand(
            'Full-capacity test',
            self::sure($target).
                " \\\n".
                "  && {$stream} | head --bytes={$bytes} | sudo dd of={$disk} bs=4M iflag=fullblock conv=fsync status=progress \\\n".
                "  && {$stream} | head --bytes={$bytes} | sudo cmp - {$disk} \\\n".
                '  && echo GENUINE || '.
                self::STOPPED,
            '“GENUINE”. A difference means that the card holds less than it says: take it back. Everything on it is gone.',
        );
    }

    /**
     * Looked at in the same breath as writing: the lasting name may be that of a reader's slot, so serial number and
     * size are asked too, and nothing of the disk may be mounted. Where no serial number is to be had, the disk is
     * taken out and put in once more: what is new then is it.
     */
    private static function sure(BlockDevice $target): string
    {
        $path = escapeshellarg($target->stable ?? '');
        $first =
            ($target->serial ?? '') === ''
                ? self::outAndIn('lsblk --noheadings --nodeps --raw --output NAME').
                    "  && test \"/dev/\$new\" = \"\$(readlink --canonicalize {$path})\" \\\n  && "
                : "test \"\$(lsblk --noheadings --nodeps --output SERIAL {$path} | awk '{ \$1 = \$1; print }')\" = ".
                    escapeshellarg((string) preg_replace('/\s+/', ' ', trim((string) $target->serial))).
                    " \\\n  && ";

        return $first.
            "test \"\$(lsblk --noheadings --nodeps --raw --bytes --output SIZE {$path})\" = {$target->size->count} \\\n".
            "  && test -z \"\$(lsblk --noheadings --raw --output MOUNTPOINT {$path})\"";
    }

    /** A second list right before writing; what only the one with the disk has is $new, and has to be one line. */
    private static function outAndIn(string $list): string
    {
        return "printf 'Take it out, wait until it is gone, and press Enter. ' && read -r _ </dev/tty \\\n".
            "  && without=\$({$list} | sort) \\\n".
            "  && printf 'Put it back in, wait ten seconds, and press Enter. ' && read -r _ </dev/tty \\\n".
            "  && new=\$({$list} | sort | grep -vxF \"\$without\") \\\n".
            "  && test \"\$(printf '%s\\n' \"\$new\" | wc -l)\" -eq 1 \\\n";
    }

    /** @return non-empty-list<DeskCommand> */
    private static function lsblk(BlockDevice $target, string $image): array
    {
        $path = escapeshellarg($target->stable ?? '');
        $sure = self::sure($target);
        $plain = self::plain($image);
        $file = escapeshellarg($plain);

        return [
            ...$plain === $image
                ? []
                : [
                    new DeskCommand(
                        'Unpack',
                        (str_ends_with($image, '.xz')
                            ? 'xz --decompress --keep '
                            : (str_ends_with($image, '.zip')
                                ? 'unzip '
                                : 'gunzip --keep ')).escapeshellarg($image),
                        'A file without the last ending beside it, several times as large.',
                    ),
                ],
            new DeskCommand(
                'Let go of it',
                "for part in {$path}-part*; do udisksctl unmount --block-device \"\$part\"; done",
                '“Unmounted …” for each partition, or that it was not mounted. Windows of the file manager may close.',
            ),
            new DeskCommand(
                'Write',
                "{$sure} \\\n  && sudo dd if={$file} of={$path} bs=4M conv=fsync status=progress || ".
                    self::STOPPED,
                'Bytes that count up. At the end it stands still while the last of them go out: that is usual.',
            ),
            new DeskCommand('Flush', 'sync', 'Nothing, after a moment.'),
            new DeskCommand(
                'Verify',
                "sudo cmp --bytes=\"\$(stat --format=%s {$file})\" {$file} {$path} && echo SAME",
                '“SAME”. This proves the copy, not where the image came from.',
            ),
            new DeskCommand(
                'Eject',
                "udisksctl power-off --block-device {$path}",
                'Nothing; now it may be pulled.',
            ),
        ];
    }

    /** @return non-empty-list<DeskCommand> */
    private static function diskutil(BlockDevice $target, string $image): array
    {
        $plain = self::plain($image);
        $file = escapeshellarg($plain);
        // No serial number is to be had there, and the number may be another after replugging: what is new is it.
        $size = fn (string $disk): string => "test \"\$(diskutil info -plist {$disk} | plutil -extract TotalSize raw -)\" = {$target->size->count}";
        $sure =
            self::outAndIn("diskutil list | grep -o '^/dev/disk[0-9]*'").'  && '.$size('"$new"');

        return [
            ...$plain === $image
                ? []
                : [
                    new DeskCommand(
                        'Unpack',
                        (str_ends_with($image, '.zip') ? 'unzip ' : 'gunzip --keep ').escapeshellarg($image),
                        'A file without the last ending beside it. An .xz file is unpacked by opening it.',
                    ),
                ],
            new DeskCommand(
                'Write',
                "{$sure} \\\n  && diskutil unmountDisk \"\$new\" \\\n".
                    "  && sudo dd if={$file} of=\"/dev/r\${new#/dev/}\" bs=4m || ".
                    self::STOPPED,
                'It asks twice for your hands, then nothing for minutes; Ctrl and T show how far it is.',
            ),
            new DeskCommand('Flush', 'sync', 'Nothing, after a moment.'),
            new DeskCommand(
                'Verify',
                $size($target->name)." && sudo cmp -n \"\$(stat -f %z {$file})\" {$file} /dev/r{$target->name} && echo SAME",
                '“SAME”. This proves the copy, not where the image came from.',
            ),
            new DeskCommand('Eject', "diskutil eject {$target->name}", '“… ejected”; now it may be pulled.'),
        ];
    }

    /** @return non-empty-list<DeskCommand> */
    private static function getDisk(BlockDevice $target, string $image): array
    {
        $plain = self::plain($image);
        $quote = PowerWord::quoted(...);
        $file = $quote($plain);
        $stopped = "throw 'STOPPED: this is not the disk that was chosen'";
        $find = '$disk = Get-Disk -ErrorAction Stop -UniqueId '.$quote((string) $target->stable);
        $other = "\$disk.Size -ne {$target->size->count} -or \$disk.IsSystem -or \$disk.IsBoot";
        // Without a serial number its unique id may be that of a reader: what is new after taking it out is it.
        $sure =
            ($target->serial ?? '') === ''
                ? implode("\n", [
                    "[void](Read-Host 'Take it out, wait until it is gone, and press Enter')",
                    '$without = @(Get-Disk -ErrorAction Stop | Where-Object Size -gt 0 | ForEach-Object UniqueId)',
                    "[void](Read-Host 'Put it back in, wait ten seconds, and press Enter')",
                    '$new = @(Get-Disk -ErrorAction Stop | Where-Object { $_.Size -gt 0 -and $_.UniqueId -notin $without })',
                    $find,
                    "if (\$new.Count -ne 1 -or \$new[0].UniqueId -ne \$disk.UniqueId -or {$other}) { {$stopped} }",
                ])
                : "{$find}\nif ([string]\$disk.SerialNumber.Trim() -ne ".
                    $quote((string) $target->serial).
                    " -or {$other}) { {$stopped} }";
        $size = "{$find}\nif ({$other}) { {$stopped} }";
        // Pasted lines run one by one, and a throw ends only its own; in one block it ends all of them.
        $block = fn (string $lines): string => "& {\n\$ErrorActionPreference = 'Stop'\n{$lines}\n}";

        return [
            ...$plain === $image
                ? []
                : [
                    new DeskCommand(
                        'Unpack',
                        str_ends_with($image, '.zip')
                            ? 'Expand-Archive '.$quote($image).' -DestinationPath .'
                            : 'tar -xf '.$quote($image),
                        'A file without the last ending beside it. What tar cannot open, the writing tool unpacks by itself.',
                    ),
                ],
            new DeskCommand(
                'Let go of it',
                $block("{$sure}\nClear-Disk -UniqueId \$disk.UniqueId -RemoveData -RemoveOEM"),
                'It asks once more; say yes only for this size.',
            ),
            new DeskCommand(
                'Write',
                $block(
                    "{$sure}\n\$from = [IO.File]::OpenRead((Resolve-Path {$file}))\n\$to = [IO.File]::Open('\\\\.\\PhysicalDrive' + \$disk.Number, 'Open', 'ReadWrite')\n\$from.CopyTo(\$to, 4194304); \$to.Flush(\$true); \$to.Close(); \$from.Close()",
                ),
                'Nothing for minutes. Afterwards it may offer to format a disk: cancel.',
            ),
            new DeskCommand(
                'Verify',
                "{$size}\n\$left = (Get-Item {$file}).Length; \$part = New-Object byte[] 4194304\n\$sha = [Security.Cryptography.SHA256]::Create()\n\$from = [IO.File]::Open('\\\\.\\PhysicalDrive' + \$disk.Number, 'Open', 'Read', 'ReadWrite')\nwhile (\$left -gt 0) { \$got = \$from.Read(\$part, 0, [Math]::Min(4194304, \$left)); [void]\$sha.TransformBlock(\$part, 0, \$got, \$null, 0); \$left -= \$got }\n[void]\$sha.TransformFinalBlock(\$part, 0, 0); \$from.Close()\n((\$sha.Hash | ForEach-Object { \$_.ToString('X2') }) -join '') -eq (Get-FileHash {$file}).Hash",
                '“True”. This proves the copy, not where the image came from.',
            ),
            new DeskCommand(
                'Eject',
                "(New-Object -ComObject Shell.Application).Namespace(17).Items() | Where-Object { \$_.Type -match 'USB|SD' } | ForEach-Object { \$_.Name }",
                'The names of what may be ejected; choose “Eject” there, and wait until it says that it may be removed.',
            ),
        ];
    }

    private static function plain(string $image): string
    {
        return (string) preg_replace('/\.(?:xz|gz|zip)$/', '', $image);
    }
}
