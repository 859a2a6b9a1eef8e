<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/** What a program prints when it did not do what the step is for, and what to do then. */
final readonly class KnownError
{
    /** @param  string  $sees  words of the program, without regard to capitals */
    public function __construct(public string $sees, public string $found, public string $why, public string $do)
    {
    }
}
