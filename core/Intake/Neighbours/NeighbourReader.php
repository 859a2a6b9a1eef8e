<?php

declare(strict_types=1);

namespace Burrow\Intake\Neighbours;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;
use Burrow\Net\Address;
use Burrow\Net\Mac;

/**
 * Tables of neighbours: `ip neigh` (text and JSON, ipneigh.c), /proc/net/arp, `arp -a` and `arp -n` of net-tools, of
 * the BSDs and of the desk system whose columns are "Internet Address, Physical Address, Type", `arp-scan`, and nmap as
 * text and XML.
 */
final class NeighbourReader implements Reader
{
    /** Flag of a finished entry in /proc/net/arp (ATF_COM of if_arp.h), and of one that stays (ATF_PERM). */
    private const COMPLETE = 0x02;

    private const PERMANENT = 0x04;

    public function kind(): string
    {
        return 'neighbours';
    }

    public function summary(): string
    {
        return 'ip neigh (text, -j), /proc/net/arp, arp -a, arp -n, arp-scan, nmap (text, XML)';
    }

    public function sign(): string
    {
        return '/^[0-9a-f.:]{3,45} dev \S+ |"lladdr" *:|"dst" *: *"[0-9a-f.:]+", *"dev" *: *"[^"]+", *"(?:state|lladdr)|'.
            '^IP address +HW type|^Address +HWtype|^\S+ \([\d.]+\) at |^Interface: [\d.]+ --- 0x|^\s*Internet Address +|'.
            '^Starting arp-scan|^Nmap scan report for |<nmaprun |^(?:\d{1,3}\.){3}\d{1,3}\t(?:[0-9a-f]{2}:){5}[0-9a-f]{2}\t/mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $trimmed = ltrim($text);
        $facts = match (true) {
            str_contains($text, '<nmaprun ') => NmapScan::xml($text, $unread),
            str_contains($text, 'Nmap scan report for ') => NmapScan::text($text, $unread),
            $trimmed !== '' && $trimmed[0] === '[' => self::json($trimmed, $unread),
            default => self::lines($text, $unread),
        };

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            [],
            $unread->count(),
        );
    }

    /** @return list<Neighbour> */
    private static function json(string $text, UnreadLines $unread): array
    {
        $all = json_decode(substr($text, 0, (int) strrpos($text, ']') + 1), true, 16);
        if (! is_array($all)) {
            $unread->add(1, 'the list in brackets is not whole');

            return [];
        }
        $facts = [];
        foreach ($all as $one) {
            $text = fn (string $key): ?string => is_array($one) && is_string($one[$key] ?? null) ? $one[$key] : null;
            $address = Address::standard($text('dst') ?? '');
            if ($address !== null) {
                $states = is_array($one) && is_array($one['state'] ?? null) ? $one['state'] : [];
                $state = is_string($states[0] ?? null) ? strtolower($states[0]) : null;
                $facts[] = new Neighbour(
                    $address,
                    Mac::standard($text('lladdr') ?? ''),
                    null,
                    $state,
                    $text('dev'),
                );
            }
        }

        return $facts;
    }

    /** @return list<Neighbour> */
    private static function lines(string $text, UnreadLines $unread): array
    {
        $facts = [];
        $interface = null;
        foreach (Lines::of($text) as $number => $line) {
            $line = trim($line);
            if ($line === '' || preg_match(self::HEADS, $line) === 1) {
                continue;
            }
            // "Interface: 172.22.8.20 --- 0x7", "Interface: eth0, type: EN10MB, …": of the lines below.
            if (preg_match('/^Interface: ([^\s,]{1,45})/', $line, $m) === 1) {
                $interface = Address::standard($m[1]) === null ? $m[1] : null;

                continue;
            }
            $fact = self::line($line, $interface);
            $fact === null ? $unread->add($number, 'no address of a neighbour stands in it') : ($facts[] = $fact);
        }

        return $facts;
    }

    private const HEADS =
        '/^(?:IP address +HW type|Address +HWtype|Neighbor +|Internet Address +|Starting arp-scan|Ending arp-scan|'.
        '\d+ packets (?:received|dropped)|Entries: \d|WARNING: |Host +\w+ ?Address|Expire)/i';

    private static function line(string $line, ?string $interface): ?Neighbour
    {
        // "name (172.22.8.16) at 2:4b:1e:90:0:7 [ether] on eth0", "? (…) at <incomplete> on en0 ifscope [ethernet]".
        if (preg_match('/^(\S{1,253}) \(([0-9a-f.:%\w]+)\) at (\S+)((?: \S+)*)$/i', $line, $m) === 1) {
            $address = Address::standard($m[2]);
            $mac = Mac::standard($m[3]) ?? Mac::tryShort($m[3])?->__toString();
            $stays = preg_match('/\b(?:PERM|permanent)\b/', $m[4]) === 1;

            return $address === null
                ? null
                : new Neighbour(
                    $address,
                    $mac,
                    $m[1] === '?' ? null : rtrim($m[1], '.'),
                    $mac === null ? 'incomplete' : ($stays ? 'permanent' : null),
                    preg_match('/ on (\S+)/', $m[4], $on) === 1 ? $on[1] : null,
                );
        }
        $words = Lines::words($line);
        $address = Address::standard($words[0] ?? '');
        if ($address === null) {
            // `arp` without -n has a name in the first column, and then no address at all.
            return null;
        }
        if (($words[1] ?? '') === 'dev') {
            return self::ipNeigh($address, $words);
        }
        if (isset($words[5]) && preg_match('/^0x[0-9a-f]{1,8} 0x[0-9a-f]{1,8}$/Di', "{$words[1]} {$words[2]}") === 1) {
            $flags = (int) hexdec(substr($words[2], 2));
            $state =
                ($flags & self::PERMANENT) !== 0
                    ? 'permanent'
                    : (($flags & self::COMPLETE) !== 0
                        ? 'reachable'
                        : 'incomplete');

            return new Neighbour(
                $address,
                $state === 'incomplete' ? null : Mac::standard($words[3]),
                null,
                $state,
                $words[5],
            );
        }
        $mac = null;
        foreach (array_slice($words, 1) as $word) {
            $mac ??= Mac::standard($word) ?? Mac::tryShort($word)?->__toString();
        }
        $incomplete = preg_match('/[(<]incomplete[)>]/', $line) === 1;
        $last = $words[count($words) - 1];

        return $mac === null && ! $incomplete
            ? null
            : new Neighbour(
                $address,
                $mac,
                null,
                $incomplete
                    ? 'incomplete'
                    : (in_array(strtolower($last), ['dynamic', 'static', 'permanent'], true)
                        ? strtolower($last)
                        : null),
                ($words[1] ?? '') === 'ether' || $incomplete ? $last : $interface,
            );
    }

    /** @param  list<string>  $words  "172.22.8.16 dev eth0 lladdr 02:… router REACHABLE", with figures between under -s */
    private static function ipNeigh(string $address, array $words): Neighbour
    {
        $at = array_search('lladdr', $words, true);
        $last = $words[count($words) - 1];

        return new Neighbour(
            $address,
            $at === false ? null : Mac::standard($words[$at + 1] ?? ''),
            null,
            preg_match('/^[A-Z]{3,12}$/D', $last) === 1 ? strtolower($last) : null,
            $words[2] ?? null,
        );
    }
}
