<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Care;

use DateTimeImmutable;

/** Something beside updates that is due on a day, and how one knows. */
final readonly class CareDue
{
    /**
     * @param  string  $kind  "own", "drill", "opening", "certificate", "key", "support", "warranty"
     * @param  ?string  $box  null where it is of no box
     * @param  int  $daysLeft  calendar days, below zero when it is late
     * @param  string  $evidence  from which the day comes, in words
     * @param  int  $id  of a household's own entry; else 0
     */
    public function __construct(
        public string $kind,
        public ?string $box,
        public string $what,
        public DateTimeImmutable $date,
        public int $daysLeft,
        public string $evidence,
        public int $id = 0,
    ) {
    }
}
