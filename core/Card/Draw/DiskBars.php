<?php

declare(strict_types=1);

namespace Burrow\Card\Draw;

use Burrow\Card\Target\JudgedDisk;

/** Disks as bars to one scale, so that the 2 TB drive and the 32 GB card cannot be mistaken for one another. */
final readonly class DiskBars
{
    public const WIDTH = 620;

    public const ROW = 34;

    /** The narrowest that can still be seen. */
    private const LEAST = 3.0;

    /** @param  list<array{y: int, width: float, judged: JudgedDisk}>  $rows */
    private function __construct(public array $rows, public int $height)
    {
    }

    /** @param  list<JudgedDisk>  $disks */
    public static function of(array $disks): self
    {
        $most = max(
            1,
            ...array_map(fn (JudgedDisk $one): int => $one->disk->size->count, $disks === [] ? [] : $disks) ?: [1],
        );
        $rows = [];
        foreach ($disks as $at => $judged) {
            $rows[] = [
                'y' => $at * self::ROW,
                'width' => max(self::LEAST, (float) ((self::WIDTH * $judged->disk->size->count) / $most)),
                'judged' => $judged,
            ];
        }

        return new self($rows, max(1, count($disks)) * self::ROW);
    }
}
