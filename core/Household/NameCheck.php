<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A name that a resolver of the house is asked again and again, and what came of it last. */
final readonly class NameCheck
{
    /**
     * @param  int  $id  of its record
     * @param  string  $box  the resolver
     * @param  string  $via  who asked: empty for this machine itself, else a client as the house calls it
     * @param  string  $said  in words, what came of it; empty while nobody asked
     * @param  ?bool  $held  whether that is as it should be; null while nobody asked
     */
    public function __construct(
        public int $id,
        public string $box,
        public string $name,
        public NameExpected $expected,
        public string $via = '',
        public string $said = '',
        public ?bool $held = null,
        public ?DateTimeImmutable $askedAt = null,
    ) {
    }
}
