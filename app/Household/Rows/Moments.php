<?php

declare(strict_types=1);

namespace App\Household\Rows;

use DateTimeImmutable;
use DateTimeZone;

/** Moments and days as the database keeps them, in the zone of the house; what many rows share is read once. */
final class Moments
{
    /** @var array<string, ?DateTimeImmutable> */
    private array $times = [];

    public function __construct(public readonly DateTimeZone $zone)
    {
    }

    /** A moment as the database keeps it, which is UTC. */
    public function time(mixed $kept): ?DateTimeImmutable
    {
        if (! is_string($kept)) {
            return null;
        }
        $kept = substr($kept, 0, 19);
        if (! array_key_exists($kept, $this->times)) {
            $time = DateTimeImmutable::createFromFormat('Y-m-d H:i:s', $kept, new DateTimeZone('UTC'));
            $this->times[$kept] = $time === false ? null : $time->setTimezone($this->zone);
        }

        return $this->times[$kept];
    }

    public function day(mixed $kept): ?DateTimeImmutable
    {
        $day = is_string($kept)
            ? DateTimeImmutable::createFromFormat('!Y-m-d', substr($kept, 0, 10), $this->zone)
            : false;

        return $day === false ? null : $day;
    }
}
