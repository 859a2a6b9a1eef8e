<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/** A box as the cross-section needs it: facts only, no place yet. */
final readonly class Dwelling
{
    /**
     * @param  string  $note  last line in the chamber: its job and what is worth knowing
     * @param  list<string>  $openings  what reaches it from outside: "51944 udp", nearest first
     * @param  string  $job  its first job, in a word; empty: none
     * @param  int  $boxes  how many stand for themselves in it; more than one in a chamber of like boxes
     * @param  string  $fedBy  the switch or supply it hangs on; empty when nobody said
     * @param  string  $network  which of several networks it is in; empty where there is one only
     * @param  array<string, string>  $dependsOn  name of a box it cannot work without => what for
     */
    public function __construct(
        public string $name,
        public string $address,
        public string $note,
        public ChamberState $state,
        public array $openings = [],
        public array $dependsOn = [],
        public string $job = '',
        public int $boxes = 1,
        public string $fedBy = '',
        public string $network = '',
    ) {
    }
}
