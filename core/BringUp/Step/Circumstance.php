<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** What is so of a box and decides which steps it needs. */
enum Circumstance: string
{
    /** Its address stands on its card, and the router is not asked for one. */
    case FixedAddress = 'fixed-address';
}
