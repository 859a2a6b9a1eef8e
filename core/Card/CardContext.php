<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Catalogue\Part\ImageKind;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;

/** What is known about a card beside its files. Whatever is not known is not judged by. */
final readonly class CardContext
{
    /**
     * @param  ?ImageKind  $image  the image that was written to it
     * @param  list<string>  $names  of other boxes
     * @param  array<int, string>  $taken  number of an address => who has it
     * @param  list<string>  $ssids  names of wireless networks that are on the air
     * @param  bool  $started  the card has been in a board that was powered
     * @param  ?string  $lastInstance  instance-id that it was started with
     * @param  bool  $containers  a job on it runs containers
     * @param  bool  $sixtyFour  a job on it wants 64 bits
     * @param  ?string  $ownName  of the box that the card is for
     */
    public function __construct(
        public ?ImageKind $image = null,
        public ?LocalNetwork $network = null,
        public array $names = [],
        public array $taken = [],
        public array $ssids = [],
        public bool $started = false,
        public ?string $lastInstance = null,
        public bool $containers = false,
        public bool $sixtyFour = false,
        public ?string $ownName = null,
    ) {
    }

    /** Null when somebody else's address is not the trouble. */
    public function ownerOf(Ipv4 $address): ?string
    {
        return $this->taken[$address->number] ?? null;
    }
}
