<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

/** How a machine has its address. */
enum HeldBy: string
{
    /** The router hands it the same one each time. */
    case Reservation = 'reservation';
    /** The machine has it in its own settings. */
    case Static = 'static';
    /** Whatever the router hands out. */
    case Dhcp = 'dhcp';
}
