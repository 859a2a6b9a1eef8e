<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\UnreadLines;

/** One way in which leases are written down. */
interface LeaseForm
{
    /** Whether a text is written so. */
    public function fits(string $text): bool;

    /** @return array<string, Lease> by address; a later line about the same address counts */
    public function read(string $text, UnreadLines $unread): array;
}
