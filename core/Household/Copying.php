<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** That something of a box is copied, where to, and how it went last. */
final readonly class Copying
{
    /**
     * @param  int  $id  of its record
     * @param  string  $to  the box that keeps the copies, or a machine elsewhere, by name
     * @param  bool  $elsewhere  not in this house
     * @param  bool  $encrypted  those who own the other machine cannot read it
     * @param  bool  $keyKept  its passphrase lies in a second place, too
     * @param  ?DateTimeImmutable  $ran  when it last went well; null when it never did, as far as is known
     * @param  ?DateTimeImmutable  $failed  when it last broke off, after that
     * @param  ?DateTimeImmutable  $tried  when a copy was last brought back; null when never
     * @param  bool  $worked  and that was what it should have been
     */
    public function __construct(
        public int $id,
        public string $box,
        public string $name,
        public string $to,
        public bool $elsewhere,
        public bool $encrypted,
        public bool $keyKept,
        public ?DateTimeImmutable $ran = null,
        public ?DateTimeImmutable $failed = null,
        public string $because = '',
        public ?DateTimeImmutable $tried = null,
        public bool $worked = false,
        public ?int $minutes = null,
    ) {
    }

    /** Whole days since a moment; null where it never was. */
    public static function days(?DateTimeImmutable $at, DateTimeImmutable $now): ?int
    {
        return $at === null
            ? null
            : max(0, (int) floor(($now->getTimestamp() - $at->getTimestamp()) / 86400));
    }
}
