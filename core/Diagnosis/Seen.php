<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

/** One answer to one check, with when and how it was got. */
final readonly class Seen
{
    /**
     * @param  ?int  $at  Unix seconds; null: not noted
     * @param  bool  $byTool  the tool asked by itself
     */
    public function __construct(
        public string $check,
        public string $answer,
        public ?int $at = null,
        public bool $byTool = false,
    ) {
    }
}
