<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Draw;

/** One root: how likely an explanation is, as thickness and length. */
final readonly class Root
{
    /**
     * @param  string  $outline  path of the root, closed; for two at once the paths of both strands
     * @param  ?float  $before  x of the tick where it stood before the last answer
     * @param  bool  $open  something else: drawn as a broken line
     */
    public function __construct(
        public string $label,
        public string $share,
        public string $because,
        public float $y,
        public string $outline,
        public float $end,
        public ?float $before,
        public bool $open,
        public bool $twisted,
    ) {
    }
}
