<?php

declare(strict_types=1);

namespace Burrow\Ports;

/** How a port of the record and a socket that was heard go together. */
enum Met: string
{
    case AsPlanned = 'as planned';
    /** Planned for others, and bound to the box alone. */
    case ForItselfOnly = 'listens for itself only';
    /** Planned for the box alone, and bound for others. */
    case Wider = 'listens further than planned';
    case Silent = 'planned, does not listen';
    case Unplanned = 'listens, in no plan';
    /** Part of the system, as clients of leases and the resolver of the box itself are. */
    case System = 'part of the system';
    /** Nobody listed what listens on this box. */
    case NotAsked = 'not listed yet';
}
