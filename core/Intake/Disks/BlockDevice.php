<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Quantity\Bytes;
use JsonSerializable;

/** A disk as the kernel sees it, with what is on it. */
final readonly class BlockDevice implements JsonSerializable
{
    /** Signatures of a part of something larger (blkid(8), diskutil(8)): an array, a pool, an encrypted disk. */
    private const PART = '/^(?:\w+_member|crypto_LUKS|BitLocker|bcache|btrfs|zfs|ceph\w*|drbd|vdo|Apple_(?:CoreStorage|RAID)\w*)(?: |$)/i';

    /** What a new card comes with: nothing, or one of these. */
    private const FAT = '/^(?:v?fat(?:12|16|32)?|msdos|exfat|(?:DOS|Windows)_FAT\w*|EFI)(?: |$)/i';

    /**
     * @param  list<string>  $mountPoints  where it or one of its partitions is mounted
     * @param  list<string>  $fileSystems  file systems and labels found on it
     * @param  ?string  $stable  a name that stays its own when others are plugged in: a by-id path, a unique id;
     *         null when none was seen
     * @param  bool  $bearsSystem  the list itself says that the system runs from it
     * @param  bool  $showsContents  the list shows what is on disks; else no file system in it is not the same as none
     */
    public function __construct(
        public string $name,
        public Bytes $size,
        public ?string $model,
        public ?string $serial,
        public ?string $transport,
        public bool $removable,
        public bool $readOnly,
        public array $mountPoints,
        public array $fileSystems,
        public ?string $stable = null,
        public bool $bearsSystem = false,
        public bool $showsContents = true,
    ) {
    }

    /** A part of it is where the running system lives. */
    public function isSystem(): bool
    {
        return $this->bearsSystem ||
            array_intersect($this->mountPoints, ['/', '/boot', '/boot/firmware', '[SWAP]', '/usr', '/var']) !== [];
    }

    /** The signature by which it belongs to an array, a pool or an encrypted disk; null for none that was seen. */
    public function partOf(): ?string
    {
        return array_values(preg_grep(self::PART, $this->fileSystems) ?: [])[0] ?? null;
    }

    /** Nothing is on it, or only what a new card or stick comes with. */
    public function isFresh(): bool
    {
        return $this->showsContents && preg_grep(self::FAT, $this->fileSystems, PREG_GREP_INVERT) === [];
    }

    /** The same disk in another list, whatever letter it has there. */
    public function isSame(self $other): bool
    {
        return $this->key() === $other->key();
    }

    private function key(): string
    {
        return $this->serial === null && $this->stable === null
            ? "{$this->name} {$this->size->count}"
            : "{$this->stable} {$this->serial} {$this->size->count}";
    }

    /** Name of its first partition: a "p" stands before the number when the disk's name ends in a digit. */
    public function firstPartition(): string
    {
        return $this->name.(preg_match('/\d$/', $this->name) === 1 ? 'p1' : '1');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'bytes' => $this->size->count,
            'size' => $this->size->decimal(),
            'model' => $this->model,
            'serial' => $this->serial,
            'transport' => $this->transport,
            'removable' => $this->removable,
            'read_only' => $this->readOnly,
            'mounted' => $this->mountPoints,
            'holds' => $this->fileSystems,
            'system' => $this->isSystem(),
        ];
    }
}
