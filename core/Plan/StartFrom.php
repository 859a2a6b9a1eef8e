<?php

declare(strict_types=1);

namespace Burrow\Plan;

/** Where the system of a box lives. */
enum StartFrom: string
{
    case Card = 'card';

    /** A card is then only wanted once, where the boot order of the board has to be changed. */
    case Drive = 'drive';

    public function label(): string
    {
        return match ($this) {
            self::Card => 'starts from the card',
            self::Drive => 'starts from the drive',
        };
    }
}
