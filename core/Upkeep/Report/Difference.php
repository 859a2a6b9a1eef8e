<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Report;

use Burrow\Judgement\Severity;

/** Something that a report shows otherwise than the record has it. */
final readonly class Difference
{
    /**
     * @param  string  $key  the same for the same difference in every report: "port 8086/tcp"
     * @param  string  $found  what is so, in words
     * @param  string  $record  what recording it means; empty where the record can only be put right by hand
     * @param  string  $right  what putting it right on the box means
     */
    public function __construct(
        public string $key,
        public Severity $severity,
        public string $found,
        public string $record,
        public string $right,
    ) {
    }
}
