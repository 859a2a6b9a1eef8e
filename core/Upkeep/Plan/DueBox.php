<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

/** A box on which something is due, and when it may be done. */
final readonly class DueBox
{
    /**
     * @param  int  $update  seconds
     * @param  int  $restart  seconds while it is away
     * @param  int  $check  seconds until it is sure that it works
     * @param  list<string>  $needs  names of boxes
     * @param  list<string>  $apart  names of boxes that are never done within twelve hours of it
     */
    public function __construct(
        public string $name,
        public int $update,
        public int $restart,
        public int $check,
        public array $needs,
        public Spans $allowed,
        public Risk $risk,
        public array $apart = [],
    ) {
    }

    public function seconds(): int
    {
        return $this->update + $this->restart + $this->check;
    }
}
