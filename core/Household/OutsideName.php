<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** The name under which the house is reached from outside, and where it led when somebody last asked. */
final readonly class OutsideName
{
    /**
     * @param  string  $address  of the house from outside; empty where nobody said
     * @param  ?string  $ledTo  the address that was answered; null when the name was not known
     * @param  ?DateTimeImmutable  $asked  null when nobody asked
     * @param  ?DateTimeImmutable  $wrongSince  when it was first seen to lead elsewhere; null while it leads here
     */
    public function __construct(
        public string $name,
        public string $address,
        public ?string $ledTo,
        public ?DateTimeImmutable $asked,
        public ?DateTimeImmutable $wrongSince,
    ) {
    }
}
