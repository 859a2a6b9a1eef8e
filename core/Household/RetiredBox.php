<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A box that was taken out of service. */
final readonly class RetiredBox
{
    /**
     * @param  ?DateTimeImmutable  $wipeOn  the day until which its card is kept as the way back
     * @param  bool  $wiped  somebody said that it was
     */
    public function __construct(
        public int $id,
        public string $name,
        public DateTimeImmutable $retired,
        public ?DateTimeImmutable $wipeOn,
        public bool $wiped,
    ) {
    }
}
