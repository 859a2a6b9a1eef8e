<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
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
        $findings = $this->unread === 0 ? [] : [IntakeFindings::deviceNotRead($this->unread, $lacks, $do)];

        return Findings::of(...$findings, ...! $this->cut ? [] : [IntakeFindings::tooManyDevices(self::MOST)]);
    }
}
