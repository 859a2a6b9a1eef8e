<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Mac;
use Burrow\Net\SshPublicKey;

/** A machine that is to have its place in a network. */
final readonly class Host
{
    /**
     * @param  ?Ipv4  $address  null where it takes what it is given
     * @param  string  $kind  the range of the scheme that it belongs to, or empty
     * @param  bool  $filters  it answers names for the house
     * @param  list<string>  $aliases  further names
     * @param  string  $user  account to log in as, or empty
     * @param  list<SshPublicKey>  $keys  that it shows
     */
    public function __construct(
        public string $name,
        public ?Ipv4 $address = null,
        public ?Mac $mac = null,
        public HeldBy $by = HeldBy::Reservation,
        public string $kind = '',
        public bool $filters = false,
        public ?Ipv6 $ipv6 = null,
        public array $aliases = [],
        public string $user = '',
        public int $port = 22,
        public array $keys = [],
    ) {
    }
}
