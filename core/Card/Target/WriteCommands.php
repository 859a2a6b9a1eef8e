<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Intake\Disks\BlockDevice;
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
     * Looked at in the same breath as writing: the lasting name may be that of a reader's slot, so the size is asked
     * too,
     * and nothing of the disk may be mounted.
     */
    private static function sure(BlockDevice $target): string
    {
        $path = escapeshellarg($target->stable ?? '');

        return "test \"\$(lsblk --noheadings --nodeps --raw --bytes --output SIZE {$path})\" = {$target->size->count} \\\n".
            "  && test -z \"\$(lsblk --noheadings --raw --output MOUNTPOINT {$path})\"";
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
        // The number may be another after replugging; the size is asked again in the same breath.
        $sure = "test \"\$(diskutil info -plist {$target->name} | plutil -extract TotalSize raw -)\" = {$target->size->count}";

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
                'Let go of it',
                "diskutil unmountDisk {$target->name}",
                '“Unmount of all volumes … was successful”.',
            ),
            new DeskCommand(
                'Write',
                "{$sure} \\\n  && sudo dd if={$file} of=/dev/r{$target->name} bs=4m || ".self::STOPPED,
                'Nothing for minutes; Ctrl and T show how far it is.',
            ),
            new DeskCommand('Flush', 'sync', 'Nothing, after a moment.'),
            new DeskCommand(
                'Verify',
                "{$sure} && sudo cmp -n \"\$(stat -f %z {$file})\" {$file} /dev/r{$target->name} && echo SAME",
                '“SAME”. This proves the copy, not where the image came from.',
            ),
            new DeskCommand('Eject', "diskutil eject {$target->name}", '“… ejected”; now it may be pulled.'),
        ];
    }

    /** @return non-empty-list<DeskCommand> */
    private static function getDisk(BlockDevice $target, string $image): array
    {
        $plain = self::plain($image);
        $quote = fn (string $text): string => "'".str_replace("'", "''", $text)."'";
        $file = $quote($plain);
        $sure =
            '$disk = Get-Disk -ErrorAction Stop -UniqueId '.
            $quote((string) $target->stable).
            "\nif (\$disk.Size -ne {$target->size->count} -or \$disk.IsSystem -or \$disk.IsBoot) { throw 'STOPPED: this is not the disk that was chosen' }";
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
                    "{$sure}\n\$from = [IO.File]::OpenRead((Resolve-Path {$file}))\n\$to = [IO.File]::Open('\\\\.\\PhysicalDrive' + \$disk.Number, 'Open', 'ReadWrite')\n\$from.CopyTo(\$to, 4MB); \$to.Flush(\$true); \$to.Close(); \$from.Close()",
                ),
                'Nothing for minutes. Afterwards it may offer to format a disk: cancel.',
            ),
            new DeskCommand(
                'Verify',
                "{$sure}\n\$left = (Get-Item {$file}).Length; \$part = New-Object byte[] 4MB\n\$sha = [Security.Cryptography.SHA256]::Create()\n\$from = [IO.File]::Open('\\\\.\\PhysicalDrive' + \$disk.Number, 'Open', 'Read', 'ReadWrite')\nwhile (\$left -gt 0) { \$got = \$from.Read(\$part, 0, [Math]::Min(4MB, \$left)); [void]\$sha.TransformBlock(\$part, 0, \$got, \$null, 0); \$left -= \$got }\n[void]\$sha.TransformFinalBlock(\$part, 0, 0); \$from.Close()\n((\$sha.Hash | ForEach-Object { \$_.ToString('X2') }) -join '') -eq (Get-FileHash {$file}).Hash",
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
