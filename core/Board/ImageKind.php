<?php

declare(strict_types=1);

namespace Burrow\Board;

use Burrow\Quantity\Bytes;

/** A kind of system image: bits, desktop or not, the memory it idles at and wants, sizes, and the year it is from. */
final readonly class ImageKind
{
    public function __construct(
        public string $id,
        public string $label,
        public int $bits,
        public bool $desktop,
        public Bytes $memoryIdle,
        public Bytes $memoryWanted,
        public Bytes $memoryLeast,
        public Bytes $packed,
        public Bytes $unpacked,
        public int $year,
    ) {
    }
}
