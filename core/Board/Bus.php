<?php

declare(strict_types=1);

namespace Burrow\Board;

use Burrow\Quantity\Rate;

/** A path inside the board that one or more links hang on; links on one bus share its payload rate. */
final readonly class Bus
{
    /** @param  list<string>  $links the links on it: "wired", "wireless", "disk" */
    public function __construct(
        public string $name,
        public Rate $payload,
        public array $links,
    ) {
    }

    public function carries(string $link): bool
    {
        return in_array($link, $this->links, true);
    }
}
