<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

/** A step as an evening sees it: so long of somebody's hands, then so long by itself. */
final readonly class Task
{
    /**
     * @param  float  $hands  seconds at its beginning in which somebody is at it
     * @param  float  $wait  seconds after that in which nobody is needed
     * @param  list<string>  $holds  things of which there is one, held from its beginning to its end: a card reader
     * @param  string  $place  where the hands must be, or empty for anywhere
     * @param  ?array{float, float}  $between  seconds of the shortest and the longest wait; null where it is as it is
     */
    public function __construct(
        public string $id,
        public float $hands,
        public float $wait = 0,
        public array $holds = [],
        public string $place = '',
        public ?array $between = null,
    ) {
    }

    /** @param  float  $share  0 for the shortest wait, 1 for the longest */
    public function waiting(float $share): self
    {
        return $this->between === null
            ? $this
            : new self(
                $this->id,
                $this->hands,
                $this->between[0] + $share * ($this->between[1] - $this->between[0]),
                $this->holds,
                $this->place,
            );
    }

    public function length(): float
    {
        return $this->hands + $this->wait;
    }
}
