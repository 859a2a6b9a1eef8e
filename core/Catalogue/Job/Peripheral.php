<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Quantity\Amps;

/** Something a job has plugged in, with the current it takes from the board. */
final readonly class Peripheral
{
    public function __construct(
        public string $what,
        public string $plug,
        public Amps $current,
        public bool $feedsBack,
    ) {
    }
}
