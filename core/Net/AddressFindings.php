<?php

declare(strict_types=1);

namespace Burrow\Net;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What several floors have to say of an address or a name that somebody else has, or that is none. */
final class AddressFindings
{
    public static function notAnAddress(string $text, string $do, Place $place): Finding
    {
        return Finding::stop(
            'addresses.not_an_address',
            "“{$text}” is no IPv4 address.",
            'Four numbers from 0 to 255 with dots between, without leading zeros.',
            $do,
            $place,
        );
    }

    public static function taken(Ipv4 $address, string $owner, string $do, Place $place): Finding
    {
        return Finding::stop(
            'addresses.taken',
            "{$address} belongs to {$owner}.",
            'Two machines with one address answer in turns, and both seem broken.',
            $do,
            $place,
        );
    }

    public static function nameTaken(string $name, string $do, ?Place $place): Finding
    {
        return Finding::stop(
            'addresses.name_taken',
            "Another box is called {$name}.",
            'Two boxes with one name answer in turns, and the router\'s list shows only one.',
            $do,
            $place,
        );
    }
}
