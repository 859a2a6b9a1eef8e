<?php

declare(strict_types=1);

namespace Burrow\Intake\Reach;

/** What became of an attempt to reach somebody. */
enum ReachState: string
{
    /** Answered, or the connection was taken. */
    case Open = 'open';
    /** Somebody is there and says no. */
    case Refused = 'refused';
    /** Nobody said anything in time: away, or a wall that does not answer. */
    case Silent = 'silent';
    /** The way there says that it does not lead there. */
    case Unreachable = 'unreachable';
    /** There was no address to ask. */
    case UnknownName = 'unknown-name';
}
