<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** One line of a first-boot file with the reason it is there. */
final readonly class CardLine
{
    public function __construct(public string $text, public string $reason = '')
    {
    }
}
