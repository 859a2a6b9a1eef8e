<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Stores\DiskFindings;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/**
 * A script for sfdisk(8): partitions one after the other from the first mebibyte on, so that each begins on whole
 * blocks.
 */
final class SfdiskScript extends TypedFile
{
    private const MIB = 1048576;

    /** Sectors that the older kind of table can count, from its fields of 32 bits. */
    private const DOS_SECTORS = 4294967296;

    /** The copy of the newer kind of table at the end of the disk (UEFI 2.10, 5.3), rounded up to a mebibyte. */
    private const GPT_END = self::MIB;

    /** The older kind's codes and the newer kind's types (sfdisk --list-types). */
    private const TYPES = [
        'linux' => ['83', '0FC63DAF-8483-4772-8E79-3D69D8477DE4'],
        'fat' => ['c', 'EBD0A0A2-B9E5-4433-87C0-68B6B72699C7'],
        'efi' => ['ef', 'C12A7328-F81F-11D2-BA4B-00A0C93EC93B'],
        'swap' => ['82', '0657FD6D-A4AB-43C4-84E5-0933C84B4F4F'],
        'raid' => ['fd', 'A19D880F-05FC-4D3B-A006-743F0F84911E'],
    ];

    public function kind(): string
    {
        return 'sfdisk';
    }

    public function summary(): string
    {
        return 'partitions for sfdisk, with the limits of either kind of table worked out';
    }

    public function schema(): string
    {
        return 'core/Stores/schema/sfdisk.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var array{disk_bytes: int, sector_bytes?: int, table?: string, partitions: list<array{mib?: int, type?: string, name?: string, bootable?: bool}>} $data */
        $sector = $data['sector_bytes'] ?? 512;
        $table = $data['table'] ?? 'gpt';
        $end = $data['disk_bytes'] - ($table === 'gpt' ? self::GPT_END : 0);
        $reach = self::DOS_SECTORS * $sector;
        if ($table === 'dos' && $data['disk_bytes'] > $reach) {
            $found[] = DiskFindings::beyondOldTable($data['disk_bytes'], $reach, $at('table'));
            $end = $reach;
        }
        if ($table === 'dos' && count($data['partitions']) > 4) {
            $found[] = DiskFindings::fourPartitions($at('partitions', 4));
        }
        $text = "label: {$table}\nunit: sectors\nsector-size: {$sector}\n\n";
        $from = self::MIB;
        foreach ($data['partitions'] as $i => $one) {
            $last = $i === count($data['partitions']) - 1;
            if (! isset($one['mib']) && ! $last) {
                $found[] = DiskFindings::onlyTheLast($at('partitions', $i));
            }
            $bytes = isset($one['mib'])
                ? $one['mib'] * self::MIB
                : intdiv(max(0, $end - $from), self::MIB) * self::MIB;
            if ($bytes < self::MIB || $from + $bytes > $end) {
                $found[] = DiskFindings::partitionTooLarge($i + 1, $at('partitions', $i));
            }
            if ($table === 'dos' && isset($one['name'])) {
                $found[] = ShareFindings::noNamesThere($at('partitions', $i, 'name'));
            }
            if (preg_match('/["\\\\]|\p{C}/u', $one['name'] ?? '') === 1) {
                $found[] = StoresFindings::notCarried(
                    'name',
                    $one['name'] ?? '',
                    $at('partitions', $i, 'name'),
                );
            }
            $text .=
                'start='.
                intdiv($from, $sector).
                ', size='.
                intdiv($bytes, $sector).
                ', type='.
                self::TYPES[$one['type'] ?? 'linux'][$table === 'dos' ? 0 : 1].
                (isset($one['name']) ? ", name=\"{$one['name']}\"" : '').
                (($one['bootable'] ?? false) && $table === 'dos' ? ', bootable' : '').
                "\n";
            $from += $bytes;
        }
        if ($end - $from >= 64 * self::MIB) {
            $found[] = StoresFindings::leftOver(
                $end - $from,
                $at('partitions', count($data['partitions']) - 1),
            );
        }

        return $text;
    }
}
