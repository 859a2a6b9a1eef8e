<?php

declare(strict_types=1);

namespace Burrow\Household;

/** What a box is made of, by ids of the catalogue; null where nobody said. */
final readonly class BoxParts
{
    /**
     * @param  ?string  $link  "wired", "wireless", "usb-wired"
     * @param  ?string  $imageFrom  where its image comes from
     * @param  list<string>  $plugged  names of things plugged in beside what its jobs have
     * @param  ?string  $startFrom  where its system lives: "card" or "drive"
     */
    public function __construct(
        public ?string $board = null,
        public ?string $supply = null,
        public ?string $cable = null,
        public ?string $drive = null,
        public ?string $link = null,
        public ?string $image = null,
        public ?string $card = null,
        public ?string $case = null,
        public ?string $hub = null,
        public ?string $cooling = null,
        public ?string $addOn = null,
        public ?string $imageFrom = null,
        public array $plugged = [],
        public ?string $startFrom = null,
    ) {
    }
}
