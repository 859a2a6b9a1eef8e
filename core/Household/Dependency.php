<?php

declare(strict_types=1);

namespace Burrow\Household;

/** A box that cannot work without another. */
final readonly class Dependency
{
    /** @param  string  $what  what for: "names", "files" */
    public function __construct(public string $box, public string $on, public string $what)
    {
    }
}
