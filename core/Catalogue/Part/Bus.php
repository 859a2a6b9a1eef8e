<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Amps;
use Burrow\Quantity\Rate;

/** A path inside the board that one or more links hang on; links on one bus share its payload rate. */
final readonly class Bus
{
    /**
     * @param  list<string>  $links  the links on it: "wired", "wireless", "disk"
     * @param  ?Amps  $current  what its sockets may draw together; null when it is not known
     */
    public function __construct(
        public string $name,
        public Rate $payload,
        public array $links,
        public ?Amps $current = null,
    ) {
    }

    public function carries(string $link): bool
    {
        return in_array($link, $this->links, true);
    }
}
