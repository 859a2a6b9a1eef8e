<?php

declare(strict_types=1);

namespace Burrow\Stores;

use InvalidArgumentException;

/**
 * A line of /etc/fstab (fstab(5)) for an ext4 store.
 *
 * `nofail` lets the box start without the disk; `x-systemd.device-timeout` keeps that start from waiting
 * 90 s; the last field 2 has the file system checked after the root one.
 */
final readonly class FstabLine
{
    /** @throws InvalidArgumentException for a UUID or mount point that is none */
    public function __construct(private string $uuid, private string $mountPoint)
    {
        if (preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $uuid) !== 1) {
            throw new InvalidArgumentException("Not the UUID of a file system: {$uuid}.");
        }
        if (! str_starts_with($mountPoint, '/') || preg_match('/[\x00-\x1f\x7f]/', $mountPoint) === 1) {
            throw new InvalidArgumentException("Not a mount point: {$mountPoint}.");
        }
    }

    /** Blanks and backslashes are written in octal, as getmntent(3) reads them. */
    public function __toString(): string
    {
        $path = str_replace(['\\', ' ', '#'], ['\\134', '\\040', '\\043'], $this->mountPoint);

        return "UUID={$this->uuid} {$path} ext4 defaults,nofail,x-systemd.device-timeout=10s 0 2";
    }
}
