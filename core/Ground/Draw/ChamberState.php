<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/** How a box looks from the front page. The value is also its class in the style sheet. */
enum ChamberState: string
{
    case Answers = 'answers';
    case Silent = 'silent';
    case Building = 'building';

    /** Nobody has asked it for a while: its lamp is neither lit nor dark. */
    case Unheard = 'unheard';
}
