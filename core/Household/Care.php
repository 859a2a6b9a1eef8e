<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** Something that somebody does again and again, in the household's own words: a fan's filter, a battery, a look. */
final readonly class Care
{
    /**
     * @param  int  $id  among those of the house
     * @param  ?string  $box  null where it is of no box
     * @param  int  $everyDays  1 to 3650
     * @param  ?DateTimeImmutable  $done  the day on which it was last done; null where nobody knows
     */
    public function __construct(
        public int $id,
        public ?string $box,
        public string $what,
        public int $everyDays,
        public ?DateTimeImmutable $done,
    ) {
    }
}
