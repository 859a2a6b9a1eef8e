<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** One thing to type, where no file can say it: the place, the value, and the command that does the same. */
final readonly class TypedStep
{
    /** @param  string  $command  empty when there is none */
    public function __construct(public string $where, public string $value, public string $command = '')
    {
    }
}
