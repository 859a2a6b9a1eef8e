<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A way in from outside, through the router to a box. */
final readonly class Opening
{
    /**
     * @param  string  $protocol  "tcp" or "udp"
     * @param  int  $port  of the router
     * @param  ?DateTimeImmutable  $review  the day on which somebody meant to look whether it is still needed
     * @param  ?int  $inside  the port of the box that it leads to; null where nobody said
     */
    public function __construct(
        public string $box,
        public int $port,
        public string $protocol,
        public ?DateTimeImmutable $review = null,
        public ?int $inside = null,
        public string $purpose = '',
        public string $owner = '',
        public string $reason = '',
        public int $id = 0,
    ) {
    }

    /** It leads to this port of its box. */
    public function leadsTo(Service $service): bool
    {
        return $service->box === $this->box &&
            $service->protocol->value === $this->protocol &&
            $service->port->number === ($this->inside ?? $this->port);
    }

    /** "51944 udp" */
    public function words(): string
    {
        return "{$this->port} {$this->protocol}";
    }
}
