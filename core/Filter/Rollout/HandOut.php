<?php

declare(strict_types=1);

namespace Burrow\Filter\Rollout;

/** How the clients of a house come to ask its filter. */
enum HandOut: string
{
    case Handed = 'handed';
    case Upstream = 'upstream';

    public function label(): string
    {
        return match ($this) {
            self::Handed => 'the router hands its address out',
            self::Upstream => 'the router asks it',
        };
    }

    public function because(): string
    {
        return match ($this) {
            self::Handed => 'Each client asks it directly and shows up by name; a change reaches a client when its lease is renewed.',
            self::Upstream => 'All questions come from the router, so nobody is told apart; a change holds at once, for all.',
        };
    }

    /** What is typed into the router, and where; the router’s own page calls it in its own way. */
    public function setting(string $filter): string
    {
        return match ($this) {
            self::Handed => "In its DHCP settings: first resolver {$filter}, second the second filter, or empty. Not the router itself.",
            self::Upstream => "In its settings of the line: resolvers not by the provider but by hand, {$filter}.",
        };
    }
}
