<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** The computer at which cards are written and from which boxes are logged in to. */
final readonly class DeskComputer
{
    /**
     * @param  string  $usbPlug  "USB-A" or "USB-C": what its sockets take
     * @param  bool  $localNames  finds names that end in .local (RFC 6762)
     * @param  bool  $loginClient  has an ssh client
     * @param  bool  $plainEditor  has an editor that adds nothing to a text
     * @param  bool  $fileCopier  can copy files to a box
     * @param  bool  $administrator  the person may install programs and write to disks
     * @param  bool  $sleeps  goes to sleep by itself
     * @param  bool  $restarts  restarts by itself, for its updates
     * @param  float  $hours  a day that it is on, 0 to 24
     * @param  float  $watts  while it is on and idle
     */
    public function __construct(
        public string $name,
        public DeskSystem $system,
        public string $usbPlug,
        public bool $cardSlot,
        public bool $localNames,
        public bool $loginClient,
        public bool $plainEditor,
        public bool $fileCopier,
        public bool $administrator,
        public bool $sleeps,
        public bool $restarts,
        public float $hours,
        public float $watts,
    ) {
    }
}
