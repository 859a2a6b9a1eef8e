<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A way in from outside, through the router to a box. */
final readonly class Opening
{
    /**
     * @param  string  $protocol  "tcp" or "udp"
     * @param  ?DateTimeImmutable  $review  the day on which somebody meant to look whether it is still needed
     */
    public function __construct(
        public string $box,
        public int $port,
        public string $protocol,
        public ?DateTimeImmutable $review = null,
    ) {
    }

    /** "51944 udp" */
    public function words(): string
    {
        return "{$this->port} {$this->protocol}";
    }
}
