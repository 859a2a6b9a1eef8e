<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Net\AddressRange;

/** A part of the scheme: servers stand here. */
final readonly class NamedRange
{
    public function __construct(public string $name, public AddressRange $range)
    {
    }
}
