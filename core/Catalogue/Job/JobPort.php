<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Net\Port;
use Burrow\Net\Protocol;

/**
 * A port a job listens on, with what it is for and whether it may ever be reached from outside. One that is asked is
 * the household's to choose: no client knows it beforehand.
 */
final readonly class JobPort
{
    public function __construct(
        public Port $port,
        public Protocol $protocol,
        public string $purpose,
        public bool $mayFaceWorld,
        public bool $asked = false,
    ) {
    }
}
