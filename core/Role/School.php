<?php

declare(strict_types=1);

namespace Burrow\Role;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/** A way of installing a job: how long hands and waiting take, disk, where its updates come from, what can go wrong. */
final readonly class School
{
    public function __construct(
        public string $id,
        public string $label,
        public Duration $hands,
        public Duration $waiting,
        public Bytes $disk,
        public string $update,
        public string $risk,
    ) {
    }
}
