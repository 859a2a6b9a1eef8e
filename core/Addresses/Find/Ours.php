<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** What the household knows of machines: its boxes, and devices that somebody gave a name. */
final readonly class Ours
{
    /**
     * @param  array<string, string>  $boxes  hardware address => name of the box
     * @param  array<string, string>  $devices  hardware address => what somebody called it
     * @param  array<string, string>  $addresses  address => name of the box that has it on record
     */
    public function __construct(
        public array $boxes = [],
        public array $devices = [],
        public array $addresses = [],
    ) {
    }

    /** A box of ours with a hardware address of the same maker. */
    public function sameMaker(string $mac): ?string
    {
        foreach ($this->boxes as $own => $name) {
            if (substr($own, 0, 8) === substr($mac, 0, 8) && $own !== $mac) {
                return $name;
            }
        }

        return null;
    }
}
