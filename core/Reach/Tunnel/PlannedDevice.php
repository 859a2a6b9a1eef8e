<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

/** A device that comes in through a tunnel. */
final readonly class PlannedDevice
{
    /**
     * @param  ?string  $publicKey  null while its key was not made yet
     * @param  string  $address  inside the tunnel
     * @param  bool  $everything  all of its traffic goes through the house
     * @param  int  $keepalive  seconds; 0 for none
     */
    public function __construct(
        public string $name,
        public ?string $publicKey,
        public string $address,
        public bool $everything = false,
        public int $keepalive = 25,
    ) {
    }
}
