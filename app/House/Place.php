<?php

declare(strict_types=1);

namespace App\House;

/** The places of the house, once: the rail, the list of keys and the keys themselves are made from here. */
enum Place: string
{
    case Ground = 'ground';
    case Reach = 'reach';
    case Ports = 'ports';
    case Addresses = 'addresses';
    case Boxes = 'boxes';
    case Stores = 'stores';
    case Upkeep = 'upkeep';
    case Journal = 'journal';
    case Bench = 'bench';
    case Catalogue = 'catalogue';
    case Settings = 'settings';

    public function label(): string
    {
        return ucfirst($this->value);
    }

    public function path(): string
    {
        return $this === self::Ground ? '/' : "/{$this->value}";
    }

    /** The letter that follows “g”. */
    public function letter(): string
    {
        return match ($this) {
            self::Bench => 'e',
            self::Settings => 't',
            default => $this->value[0],
        };
    }
}
