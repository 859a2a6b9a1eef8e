<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** The box that is looked for: what is known of it so far. */
final readonly class Wanted
{
    /**
     * @param  ?string  $mac  in lower case with colons, where it was met before or read off its label
     * @param  ?string  $address  that it is to have
     */
    public function __construct(public string $name, public ?string $mac = null, public ?string $address = null)
    {
    }
}
