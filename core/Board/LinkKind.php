<?php

declare(strict_types=1);

namespace Burrow\Board;

/** How the box reaches the network. */
enum LinkKind: string
{
    case Wired = 'wired';
    case Wireless = 'wireless';

    public function label(): string
    {
        return match ($this) {
            self::Wired => 'network cable',
            self::Wireless => 'Wi-Fi',
        };
    }
}
