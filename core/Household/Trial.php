<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** What a port of the house did when somebody last tried it from outside. */
final readonly class Trial
{
    /**
     * @param  int  $port  1 to 65535, as the router shows it outside
     * @param  string  $protocol  "tcp" or "udp"
     * @param  bool  $mustAnswer  what it should have done then; the record may say otherwise by now
     */
    public function __construct(
        public int $port,
        public string $protocol,
        public bool $mustAnswer,
        public bool $answered,
        public DateTimeImmutable $at,
    ) {
    }
}
