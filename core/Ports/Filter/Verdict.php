<?php

declare(strict_types=1);

namespace Burrow\Ports\Filter;

/** What a packet filter does with a new connection, as far as its rules tell. */
enum Verdict: string
{
    case LetsIn = 'lets in';
    case KeepsOut = 'keeps out';
    /** It asks something of the packet that cannot be known here: a rate, a mark, an hour, an interface. */
    case NotSure = 'not sure';
}
