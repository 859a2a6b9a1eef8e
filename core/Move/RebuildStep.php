<?php

declare(strict_types=1);

namespace Burrow\Move;

/** One step on the way back of a box that died. */
final readonly class RebuildStep
{
    /**
     * @param  ?float  $seconds  null where nobody can say
     * @param  bool  $hands  somebody has to be there
     */
    public function __construct(
        public string $what,
        public string $how,
        public ?float $seconds,
        public bool $hands,
    ) {
    }
}
