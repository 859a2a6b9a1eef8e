<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

/** How somebody stands at an address. */
enum StandingKind: string
{
    case Router = 'router';
    case Reservation = 'reservation';
    case Static = 'static';
    /** It is to have it, and nothing holds it yet. */
    case Planned = 'planned';
    /** Was seen there, and is none of ours. */
    case Seen = 'seen';
    /** Two have it, or it stands where it must not. */
    case Clash = 'clash';

    public function label(): string
    {
        return match ($this) {
            self::Router => 'the router',
            self::Reservation => 'reserved',
            self::Static => 'fixed on the box',
            self::Planned => 'not pinned yet',
            self::Seen => 'seen, not ours',
            self::Clash => 'clash',
        };
    }
}
