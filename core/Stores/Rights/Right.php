<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

/** What one person can do with one share in the end, and what stands in the way of more. */
final readonly class Right
{
    public function __construct(
        public bool $reads,
        public bool $writes,
        public string $because,
        public bool $known = true,
    ) {
    }

    public function words(): string
    {
        return match (true) {
            ! $this->known => 'not known',
            $this->writes => 'reads and writes',
            $this->reads => 'reads',
            default => 'nothing',
        };
    }
}
