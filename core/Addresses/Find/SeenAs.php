<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** Whose a machine of a list is. */
enum SeenAs: string
{
    case Ours = 'ours';

    /** Somebody said what it is. */
    case Known = 'known';

    case Stranger = 'stranger';
}
