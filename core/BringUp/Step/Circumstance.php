<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** What is so of a box and decides which steps it needs. */
enum Circumstance: string
{
    /** Its address stands on its card, and the router is not asked for one. */
    case FixedAddress = 'fixed-address';

    /** It joins the network by radio. */
    case Wireless = 'wireless';

    /** It hangs on a computer's USB cable, and no router knows of it. */
    case UsbCable = 'usb-cable';

    /** Its image came with the job in it, and brings its own updates. */
    case ReadyMade = 'ready-made';

    /** In a move: it is called afterwards as the other one was. */
    case TakesName = 'takes-name';

    /** It gets a part that gives it its power or draws on it. */
    case OtherPower = 'other-power';

    /** It gets a part that it is warmer or cooler with. */
    case OtherWarmth = 'other-warmth';
}
