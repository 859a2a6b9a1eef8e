<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** The disks of one list, as far as they could be read, and one word for all that could not. */
final class DeviceList
{
    /** A desk computer has a dozen disks; a longer list is somebody's experiment. */
    public const MOST = 256;

    /** @var list<BlockDevice> */
    private array $disks = [];

    private int $unread = 0;

    private bool $cut = false;

    /**
     * @param  array<mixed>  $entries  as the tool printed them
     * @param  callable(array<mixed>): ?BlockDevice  $read
     */
    public static function read(array $entries, callable $read): self
    {
        $list = new self();
        foreach ($entries as $entry) {
            if (count($list->disks) + $list->unread >= self::MOST) {
                $list->cut = true;
                break;
            }
            $disk = is_array($entry) ? $read($entry) : null;
            $disk === null ? $list->unread++ : ($list->disks[] = $disk);
        }

        return $list;
    }

    /** @return list<BlockDevice> */
    public function disks(): array
    {
        return $this->disks;
    }

    /** @param  string  $lacks  "no name or no size in bytes" */
    public function findings(string $lacks, string $do): Findings
    {
        $findings =
            $this->unread === 0
                ? []
                : [
                    Finding::note(
                        'intake.device_not_read',
                        ($this->unread === 1
                            ? 'A device in the list has '
                            : "{$this->unread} devices in the list have ").
                            $lacks.
                            '.',
                        $this->unread === 1 ? 'It was left out.' : 'They were left out.',
                        $do,
                    ),
                ];

        return Findings::of(
            ...$findings,
            ...! $this->cut
                ? []
                : [
                    Finding::warn(
                        'intake.too_many_devices',
                        'Only the first '.self::MOST.' devices of this list were read.',
                        'A desk computer has a dozen; what stands further down may be the disk you look for.',
                        'Run the command again and paste its answer once.',
                    ),
                ],
        );
    }
}
