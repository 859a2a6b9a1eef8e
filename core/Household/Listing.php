<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** What a box told of all that listens on it, at one moment. */
final readonly class Listing
{
    /** @param  list<Heard>  $heard */
    public function __construct(public string $box, public DateTimeImmutable $at, public array $heard)
    {
    }
}
