<?php

declare(strict_types=1);

namespace Burrow\Intake\Neighbours;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Address;
use Burrow\Net\Mac;
use XMLReader;

/** What nmap prints, for people and as XML (nmap.dtd): hosts that are up, with their ports. */
final class NmapScan
{
    private const HOSTS = 70_000;

    private const HOST = '/^Nmap scan report for (?:(\S+) \(([0-9a-f.:]+)\)|([0-9a-f.:]+))(?: \[host down.*)?$/i';

    private const PORT = '~^(\d{1,5})/(tcp|udp|sctp) +([a-z|]+)(?: +(\S+))?~';

    /** @return list<Neighbour> */
    public static function text(string $text, UnreadLines $unread): array
    {
        /** @var list<ScannedHost> $hosts */
        $hosts = [];
        $host = new ScannedHost();
        foreach (Lines::of($text) as $number => $line) {
            if (preg_match(self::HOST, $line, $m) === 1 && count($hosts) < self::HOSTS) {
                $host = $hosts[] = new ScannedHost(Address::standard($m[3] ?? '' ?: $m[2]));
                $host->name = $m[1] === '' ? null : $m[1];
                $host->state = str_contains($line, '[host down') ? 'down' : null;
                if ($host->address === null) {
                    $unread->add($number, 'its address cannot be read');
                }
            } elseif (str_starts_with($line, 'Host is up')) {
                $host->state = 'up';
            } elseif (preg_match('/^MAC Address: (\S{17})/', $line, $m) === 1) {
                $host->mac = Mac::standard($m[1]);
            } elseif (preg_match(self::PORT, $line, $m) === 1) {
                $host->port((int) $m[1], $m[2], $m[3], $m[4] ?? null);
            }
        }

        return array_values(array_filter(array_map(fn (ScannedHost $one): ?Neighbour => $one->fact(), $hosts)));
    }

    /** @return list<Neighbour> */
    public static function xml(string $text, UnreadLines $unread): array
    {
        $from = strpos($text, '<nmaprun ');
        if ($from !== false && ! str_contains($text, '</nmaprun>')) {
            $unread->add(substr_count($text, "\n") + 1, 'the XML ends too early; what stood before was read');
            // Of a scan that was cut, the hosts that are whole.
            $last = strrpos($text, '</host>');
            if ($last === false) {
                return [];
            }
            $text = substr($text, 0, $last).'</host></nmaprun>';
        }
        $reader = new XMLReader();
        // Entities are never resolved, and nothing outside of the text is read.
        $quiet = LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING;
        if ($from === false || ! $reader->XML(substr($text, $from), null, $quiet)) {
            return [];
        }
        $facts = [];
        $host = new ScannedHost();
        $port = [0, ''];
        while (@$reader->read() && count($facts) < self::HOSTS) {
            $of = fn (string $attribute): string => mb_substr((string) $reader->getAttribute($attribute), 0, 253);
            $element = match ($reader->nodeType) {
                XMLReader::ELEMENT => $reader->name,
                XMLReader::END_ELEMENT => "/{$reader->name}",
                default => '',
            };
            if ($element === '/host') {
                $fact = $host->fact();
                $fact === null || ($facts[] = $fact);
            } elseif ($element === 'host' || $element === 'hosthint') {
                $host = new ScannedHost();
            } elseif ($element === 'status') {
                $host->state = $of('state') ?: null;
            } elseif ($element === 'address' && $of('addrtype') === 'mac') {
                $host->mac = Mac::standard($of('addr'));
            } elseif ($element === 'address') {
                $host->address ??= Address::standard($of('addr'));
            } elseif ($element === 'hostname') {
                $host->name ??= $of('name') ?: null;
            } elseif ($element === 'port') {
                $port = [(int) $of('portid'), $of('protocol')];
            } elseif ($element === 'state') {
                $host->port($port[0], $port[1], $of('state'), null);
            } elseif ($element === 'service') {
                $host->service($of('name'));
            }
        }

        return $facts;
    }

    private function __construct()
    {
    }
}
