<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

/** A command for the desk computer, with what it does and what should be seen. */
final readonly class DeskCommand
{
    public function __construct(public string $title, public string $command, public string $expect)
    {
    }
}
