<?php

declare(strict_types=1);

namespace Burrow\Household;

/** How full a file system of a box was, over time. */
final readonly class Fill
{
    /**
     * @param  int  $bytes  that it holds, as it was told last
     * @param  non-empty-list<array{int, int}>  $samples  Unix seconds and bytes used, the oldest first
     */
    public function __construct(
        public string $box,
        public string $mount,
        public int $bytes,
        public array $samples,
    ) {
    }
}
