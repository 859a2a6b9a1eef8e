<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;

/** One network of the house as it is described in Settings. */
final readonly class HouseNetwork
{
    /**
     * @param  ?Ipv4  $wan  the router's address towards the provider; null where nobody wrote it down
     * @param  string  $dns  name servers that are handed out, with blanks between
     * @param  string  $ipv6  its unique-local prefix, or empty
     * @param  string  $ranges  the scheme of its addresses, a line each
     */
    public function __construct(
        public int $id,
        public string $name,
        public LocalNetwork $local,
        public ?Ipv4 $wan = null,
        public string $dns = '',
        public string $ipv6 = '',
        public string $ranges = '',
    ) {
    }
}
