<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Service;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Port;
use Burrow\Text\Words;

/** What speaks against a line of the ledger, a packet filter or a tile as it is typed. */
final class TypedPortFindings
{
    public static function notAPort(string $typed, string $field): Finding
    {
        return Finding::stop(
            'ports.not_a_port',
            $typed === '' ? 'There is no port yet.' : "“{$typed}” is no port.",
            'Ports are numbers from 1 to 65535 (RFC 6335).',
            'Type the number that the service listens on.',
            Place::field($field),
        );
    }

    public static function notAnAddress(string $typed, string $field): Finding
    {
        return Finding::stop(
            'ports.not_an_address',
            "“{$typed}” is no address.",
            'A service is bound to one address of its box, or to all.',
            'Leave it empty for all, or type one, such as 127.0.0.1 for the box alone.',
            Place::field($field),
        );
    }

    public static function notAPath(string $typed, string $field): Finding
    {
        return Finding::stop(
            'ports.not_a_path',
            '“'.mb_strimwidth($typed, 0, 40, '…').'” is no path of a page.',
            'It begins with a slash and holds no blanks (RFC 3986 3.3).',
            'Copy what stands behind the port in the address line.',
            Place::field($field),
        );
    }

    public static function purposeLength(string $field): Finding
    {
        return Finding::stop(
            'ports.purpose',
            'What it is for is missing, or longer than 60 letters.',
            'A port that nobody can name is one that nobody dares to close.',
            'A few words: “its own page”, “file share”.',
            Place::field($field),
        );
    }

    public static function tooManyClients(int $most, string $field): Finding
    {
        return Finding::stop(
            'ports.too_many_clients',
            "More than {$most} clients.",
            'Each line is one.',
            'Name the kinds: “all desktops: drive letter”.',
            Place::field($field),
        );
    }

    public static function notCarried(string $key, string $value, Place $place): Finding
    {
        return Finding::stop(
            'ports.not_carried',
            "The {$key} “".Words::typed($value, 40).'” cannot stand in the file.',
            'The file has no way to write it.',
            $key === 'box'
                ? 'A host name has letters, digits and hyphens (RFC 1123).'
                : 'Leave quotes and backslashes out.',
            $place,
        );
    }

    public static function notAPrefix(string $typed, Place $place): Finding
    {
        return Finding::stop(
            'ports.not_a_prefix',
            "“{$typed}” is neither an address nor a prefix.",
            'A prefix is written at its network address: 172.22.8.0/24 (RFC 4632).',
            'Write it like that.',
            $place,
        );
    }

    public static function fromWithoutSome(int $port, Place $place): Finding
    {
        return Finding::stop(
            'ports.from_without_some',
            "{$port}: “reach: some” and “from” belong together.",
            'Either everybody of a kind reaches a port, or those that are named.',
            'Name them under from, or say another reach.',
            $place,
        );
    }

    public static function whoAreSome(string $field): Finding
    {
        return Finding::stop(
            'ports.who_are_some',
            'Who are “some of the house”?',
            'The packet filter of the box lets in those that are named, and nobody else.',
            'Name their addresses or prefixes, with blanks between them: 172.22.8.20 172.22.8.32/28.',
            Place::field($field),
        );
    }

    public static function tooManySources(int $most, string $field): Finding
    {
        return Finding::stop(
            'ports.too_many_sources',
            "More than {$most} addresses and prefixes.",
            'A rule of so many is read by nobody.',
            'Give those machines addresses beside each other, and name their prefix.',
            Place::field($field),
        );
    }

    public static function rangeBackwards(int $from, int $to, Place $place): Finding
    {
        return Finding::stop(
            'ports.range_backwards',
            "The range ends at {$to}, before it begins at {$from}.",
            'A range goes upward.',
            'Change the two.',
            $place,
        );
    }

    public static function noLoginLeft(string $box): Finding
    {
        return Finding::stop(
            'ports.no_login_left',
            "No port lets remote login in on {$box}.",
            'With these rules nobody gets in again except at its screen.',
            'Add 22 tcp for the house, or for the machines that look after it.',
        );
    }

    public static function nothingToReserve(string $box): Finding
    {
        return Finding::stop(
            'ports.nothing_to_reserve',
            "No service of {$box} lies where the system hands out ports.",
            'Linux takes 32768 to 60999 for outgoing connections (ip-sysctl).',
            'Nothing is to be done.',
        );
    }

    public static function notALink(string $url, Place $place): Finding
    {
        return Finding::stop(
            'ports.not_a_link',
            '“'.Words::typed($url).'” is no link of a page.',
            'Pages begin with http:// or https:// and hold no blanks or quotes.',
            'Copy the address line of the page.',
            $place,
        );
    }

    /** @param  list<int>  $meant  numbers that come of it when one digit is left out, the likeliest first */
    public static function sixDigits(string $typed, array $meant, string $field): Finding
    {
        return Finding::stop(
            'ports.six_digits',
            "{$typed} is no port: the highest is 65535.",
            'A digit too many is easily typed.',
            $meant === [] ? 'Type it again.' : 'Was it '.implode(' or ', $meant).'?',
            Place::field($field),
        );
    }

    public static function registeredOtherwise(Port $port, string $name, string $field): Finding
    {
        return Finding::note(
            'ports.registered_otherwise',
            "{$port->number} is registered for “{$name}”.",
            'That forbids nothing; tools will call it by that name, and so may whoever reads a list later (IANA).',
            'Keep it, or take one that nobody has registered.',
            Place::field($field),
        );
    }

    public static function ephemeral(Service $service): Finding
    {
        return Finding::note(
            'ports.ephemeral',
            "{$service->port->number} on {$service->box} lies where the system picks ports for outgoing connections.",
            'Now and then the service finds its port taken when it starts.',
            'Set net.ipv4.ip_local_reserved_ports='.$service->port->number.', or choose one below 32768.',
        );
    }
}
