<?php

declare(strict_types=1);

namespace Burrow\Intake\Own;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/**
 * The machine's own addresses: `ip addr` and `ip route` (text, -br, -o, -j), `ifconfig` of net-tools and the BSDs,
 * `route -n`, `ipconfig /all`, `nmcli device show`, `networkctl status`, `resolvectl status`, resolv.conf, and what a
 * board's screen says of it while it starts (“My IP address is …”, the tables of the first boot, the DHCP client's and
 * the kernel's own words); several of them in one text are put together.
 */
final class OwnAddressReader implements Reader
{
    public function kind(): string
    {
        return 'own-address';
    }

    public function summary(): string
    {
        return 'ip addr, ip route (text, -j), ifconfig, ipconfig /all, nmcli device show, networkctl, resolvectl, resolv.conf';
    }

    public function sign(): string
    {
        return '/^\d+: \S+: <[A-Z,_-]+> mtu |^\d+: \S+ +inet6? |^\S+ +(?:UP|DOWN|UNKNOWN) +[0-9a-f]+[.:][0-9a-f.:]+\/\d|'.
            '^default (?:via|dev) |^[0-9a-f.:]+\/\d+ (?:via|dev) |"ifname" *:|"dst" *: *"default"|'.
            '^\S+: flags=|^\S+ +Link encap:|^Kernel IP routing|^ *IPv[46] Address[. ]*:|^Windows IP Configuration|'.
            '^GENERAL\.DEVICE:|My IP address is |ci-info: [|]|IP-Config: |bound to [0-9.]+ |leased [0-9.]+ for |^IP[46]\.ADDRESS|^ *(?:Current )?DNS Servers?: |^\s*Gateway: |^nameserver |^Link \d+ \(/mi';
    }

    public function read(string $text): Reading
    {
        $all = new Gathered();
        $trimmed = ltrim($text);
        // A time in brackets stands before the lines of a screen, too.
        if (preg_match('/^\[\s*[{\]]/', $trimmed) === 1) {
            self::json($trimmed, $all);
        } elseif (
            preg_match(
                '/^Windows IP Configuration|^ *(?:Physical Address|DHCP Enabled|IPv4 Address)[. ]+: /m',
                $text,
            ) === 1
        ) {
            self::dotted($text, $all);
        } else {
            self::lines($text, $all);
        }
        $facts = $all->facts();

        return new Reading(
            $this->kind(),
            $facts,
            $facts === []
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : Findings::of(
                    ...array_map(
                        fn (OwnAddress $one): \Burrow\Judgement\Finding => IntakeFindings::noLease(
                            (string) $one->address,
                            $one->interface ?? '',
                        ),
                        array_slice(
                            array_values(
                                array_filter(
                                    $facts,
                                    fn (OwnAddress $one): bool => $one->address instanceof Ipv4 &&
                                        $one->address->isLinkLocal(),
                                ),
                            ),
                            0,
                            5,
                        ),
                    ),
                ),
        );
    }

    private static function json(string $text, Gathered $all): void
    {
        // `ip -j addr` and `ip -j route` one after the other are two lists.
        foreach (preg_split('/(?<=\])\s*\n(?=\[)/', trim($text)) ?: [] as $list) {
            $entries = json_decode($list, true, 32);
            foreach (is_array($entries) ? array_slice($entries, 0, 5000) : [] as $entry) {
                if (is_array($entry)) {
                    self::entry($entry, $all);
                }
            }
        }
    }

    /** @param  array<mixed>  $entry */
    private static function entry(array $entry, Gathered $all): void
    {
        $of = fn (array $from, string $key): string => is_string($from[$key] ?? null) ? $from[$key] : '';
        $whole = fn (array $from, string $key): ?int => is_int($from[$key] ?? null) ? $from[$key] : null;
        if (isset($entry['ifname']) && ! isset($entry['dst'])) {
            $name = $of($entry, 'ifname');
            $of($entry, 'link_type') === 'loopback' || $all->mac($name, $of($entry, 'address'));
            foreach (is_array($entry['addr_info'] ?? null) ? $entry['addr_info'] : [] as $info) {
                if (is_array($info) && $of($entry, 'link_type') !== 'loopback') {
                    $all->address(
                        $name,
                        $of($info, 'local'),
                        $whole($info, 'prefixlen'),
                        ($info['dynamic'] ?? false) === true
                            ? true
                            : ($of($info, 'family') === 'inet' && $of($info, 'scope') === 'global'
                                ? false
                                : null),
                    );
                }
            }
        } elseif ($of($entry, 'dst') === 'default') {
            $all->gateway($of($entry, 'dev'), $of($entry, 'gateway'), $whole($entry, 'metric'));
            $of($entry, 'protocol') === 'dhcp' && $all->dhcp($of($entry, 'dev'), true);
        }
    }

    private static function lines(string $text, Gathered $all): void
    {
        $at = '';
        $goesOn = '';
        foreach (Lines::of($text) as $line) {
            $indented = $line !== '' && ($line[0] === ' ' || $line[0] === "\t");
            $line = trim($line);
            $words = Lines::words($line);
            // A list goes on below, one in a line of its own.
            if ($goesOn !== '' && $indented && preg_match('/^[0-9a-f.:]+(?:[#%]\S+)?$/i', $line) === 1) {
                $goesOn === 'dns' ? $all->dns($at ?: null, $line) : $all->address($at, $line, null);

                continue;
            }
            $goesOn = '';
            if ($words === []) {
                continue;
            }
            if (
                preg_match('/^\d+: (\S+): </', $line, $m) === 1 ||
                preg_match('/^(\S+?):? +(?:flags=|Link encap:)/', $line, $m) === 1
            ) {
                $at = $m[1];
                preg_match('/HWaddr (\S+)/', $line, $hw) === 1 && $all->mac($at, $hw[1]);
            } elseif (
                preg_match('/^(?:●|○|×)? ?\d+: (\S+)$/u', $line, $m) === 1 ||
                preg_match('/^Link \d+ \((\S+)\)/', $line, $m) === 1
            ) {
                $at = $m[1];
            } elseif ($line === 'Global') {
                $at = '';
            } elseif (self::boot($line, $all)) {
                continue;
            } elseif (preg_match('/^\d+: (\S+) +inet6? (\S+)/', $line, $m) === 1) {
                self::isLoopback($m[1]) || $all->address($m[1], $m[2], null, self::handedOut($line));
            } elseif (preg_match('/^(\S+) +(?:UP|DOWN|UNKNOWN|DORMANT)\b(.*)$/', $line, $m) === 1) {
                foreach (self::isLoopback($m[1]) ? [] : Lines::words($m[2]) as $word) {
                    str_contains($word, '/') ? $all->address($m[1], $word, null) : $all->mac($m[1], $word);
                }
            } elseif ($words[0] === 'link/ether' || $words[0] === 'ether') {
                $all->mac($at, $words[1] ?? '');
            } elseif (($words[0] === 'inet' || $words[0] === 'inet6') && ! self::isLoopback($at)) {
                self::inet($at, $line, $words, $all);
            } elseif (
                ($words[0] === 'default' || $words[0] === '0.0.0.0' || $words[0] === '::/0') &&
                isset($words[1])
            ) {
                self::wayOut($words, $all);
            } elseif ($words[0] === 'nameserver') {
                $all->dns(null, $words[1] ?? '');
            } elseif (preg_match('/^(?:Current )?DNS(?: Servers?)?: ?(.*)$/', $line, $m) === 1) {
                $goesOn = 'dns';
                foreach (Lines::words($m[1]) as $word) {
                    $all->dns($at ?: null, $word);
                }
            } elseif (
                $at !== '' &&
                preg_match('/^(?:Address|Gateway|Hardware Address|HW Address): (\S+)(.*)$/', $line, $m) === 1
            ) {
                $goesOn = str_starts_with($line, 'Address') ? 'address' : '';
                match (true) {
                    str_starts_with($line, 'Address') => $all->address(
                        $at,
                        $m[1],
                        null,
                        str_contains($m[2], 'DHCP') ? true : null,
                    ),
                    str_starts_with($line, 'Gateway') => $all->gateway($at, $m[1], null),
                    default => $all->mac($at, $m[1]),
                };
            } elseif (preg_match('/^(GENERAL|IP[46]|DHCP4)\.([A-Z]+)(?:\[\d+\])?: +(.*)$/', $line, $m) === 1) {
                $at = self::nmcli($at, $m, $all);
            }
        }
    }

    /** @param  list<string>  $words  "inet 172.22.8.16/24 … dynamic eth0", "inet … netmask …", "inet addr:… Mask:…" */
    private static function inet(string $at, string $line, array $words, Gathered $all): void
    {
        $address = (string) preg_replace('/^addr:/', '', $words[1] ?? '') ?: $words[2] ?? '';
        $length = match (true) {
            preg_match('/\bnetmask 0x([0-9a-f]{8})\b/i', $line, $m) === 1 => substr_count(
                decbin((int) hexdec($m[1])),
                '1',
            ),
            preg_match('/(?:\bnetmask |\bMask:)([\d.]+)/', $line, $m) === 1 => Prefix::lengthOf($m[1]),
            preg_match('/\bprefixlen (\d{1,3})\b/', $line, $m) === 1 => (int) $m[1],
            default => null,
        };
        $all->address($at, $address, $length, self::handedOut($line));
    }

    /** @param  list<string>  $words  of `ip route`, or of `route -n` with its eight columns */
    private static function wayOut(array $words, Gathered $all): void
    {
        $after = fn (string $word): string => ($at = array_search($word, $words, true)) === false
            ? ''
            : $words[$at + 1] ?? '';
        if (count($words) === 8 && str_contains($words[3], 'G')) {
            $all->gateway($words[7], $words[1], ctype_digit($words[4]) ? (int) $words[4] : null);

            return;
        }
        $metric = $after('metric');
        $all->gateway(
            $after('dev'),
            $after('via'),
            ctype_digit($metric) && strlen($metric) < 11 ? (int) $metric : null,
        );
        $after('proto') === 'dhcp' && $all->dhcp($after('dev'), true);
    }

    /**
     * @param  array<int, string>  $m
     * @return string the interface that the lines below are of
     */
    private static function nmcli(string $at, array $m, Gathered $all): string
    {
        $value = trim($m[3]);
        if ($m[1] === 'GENERAL') {
            $m[2] === 'HWADDR' && $all->mac($at, $value);

            return $m[2] === 'DEVICE' ? $value : $at;
        }
        if (self::isLoopback($at)) {
            return $at;
        }
        match ($m[2]) {
            'ADDRESS' => $all->address($at, $value, null),
            'GATEWAY' => $all->gateway($at, $value, null),
            'DNS' => $all->dns($at, $value),
            'ROUTE' => preg_match('~dst = (?:0\.0\.0\.0|::)/0, nh = (\S+), mt = (\d{1,10})~', $value, $route) === 1
                ? $all->gateway($at, $route[1], (int) $route[2])
                : null,
            'OPTION' => $m[1] === 'DHCP4' ? $all->dhcp($at, true) : null,
            default => null,
        };

        return $at;
    }

    /** `ipconfig /all`: "   IPv4 Address. . . . . : 172.22.8.20(Preferred)", and values that go on in a line without a name. */
    private static function dotted(string $text, Gathered $all): void
    {
        $at = '';
        $goesOn = '';
        foreach (Lines::of($text) as $line) {
            $heads = preg_match('/^\S[^\n]{0,200}:$/', $line) === 1;
            $named = $heads ? explode(' adapter ', substr($line, 0, -1)) : [];
            if (count($named) > 1) {
                $at = $named[count($named) - 1];
                $goesOn = '';
            } elseif (preg_match('/^ +([A-Z][^.:]{2,40}?)[ .]*(?: \.|\.)[ .]*: ?(.*)$/', $line, $m) === 1) {
                $goesOn = trim($m[1]);
                self::said($at, $goesOn, trim($m[2]), $all);
            } elseif ($goesOn !== '' && preg_match('/^ {8,}(\S+)\s*$/', $line, $m) === 1) {
                self::said($at, $goesOn, $m[1], $all);
            }
        }
    }

    private static function said(string $at, string $name, string $value, Gathered $all): void
    {
        $plain = (string) preg_replace('/\(.*\)$/', '', $value);
        match (true) {
            $name === 'Physical Address' => $all->mac($at, $plain),
            $name === 'DHCP Enabled' => $all->dhcp($at, $plain === 'Yes'),
            str_ends_with($name, 'IPv4 Address'), $name === 'IP Address' => $all->address($at, $plain, null),
            str_ends_with($name, 'IPv6 Address') => $all->address($at, $plain, 64),
            $name === 'Subnet Mask' => $all->netmask($at, $plain),
            $name === 'Default Gateway' => $all->gateway($at, $plain, null),
            $name === 'DNS Servers' => $all->dns($at, $plain),
            default => null,
        };
    }

    /** What stands on the screen of a board that starts, on the console or in its journal. */
    private static function boot(string $line, Gathered $all): bool
    {
        if (preg_match('/\bMy IP address is ([0-9A-Fa-f.: ]{7,200})$/', $line, $m) === 1) {
            foreach (Lines::words($m[1]) as $word) {
                $all->address('the board', $word, null);
            }
        } elseif (preg_match('/ci-info: \|(.{1,300})\|$/', $line, $m) === 1) {
            self::table(array_map(trim(...), explode('|', $m[1])), $all);
        } elseif (preg_match('/\bIP-Config: Complete|\bdevice=(\S+), /', $line, $m) === 1) {
            // The kernel's own client tells it in the lines that follow: "device=eth0, …, addr=…, mask=…, gw=…".
            $device = $m[1] ?? '';
            preg_match('/\b(?:ip)?addr=([\d.]+), mask=([\d.]+), gw=([\d.]+)/', $line, $own) === 1 &&
                self::kernel($device, $own, $all);
        } elseif (
            preg_match('/\bbound to ([\d.]+) -- renewal|\b(\S{1,15}): leased ([\d.]+) for /', $line, $m) === 1
        ) {
            $all->address($m[2] ?? '' ?: 'the board', $m[1] ?: $m[3] ?? '', null, true);
        } else {
            return false;
        }

        return true;
    }

    /** @param  array<int, string>  $own */
    private static function kernel(string $device, array $own, Gathered $all): void
    {
        $all->address($device, $own[1], Prefix::lengthOf($own[2]));
        $own[3] === '0.0.0.0' || $all->gateway($device, $own[3], null);
    }

    /**
     * A row of the first boot's tables: of addresses (device, up, address, mask, scope, hardware address), or of routes
     * (number, destination, gateway, mask, device, flags).
     *
     * @param  list<string>  $cells
     */
    private static function table(array $cells, Gathered $all): void
    {
        if (count($cells) === 6 && in_array($cells[1], ['True', 'False'], true) && ! self::isLoopback($cells[0])) {
            $all->address($cells[0], $cells[2], Prefix::lengthOf($cells[3]));
            $all->mac($cells[0], $cells[5]);
        } elseif (count($cells) === 6 && $cells[1] === '0.0.0.0' && $cells[3] === '0.0.0.0') {
            $all->gateway($cells[4], $cells[2], null);
        }
    }

    /** An address that was handed out has an end; one that was typed in has none. Others do not say. */
    private static function handedOut(string $line): ?bool
    {
        return match (true) {
            preg_match('/\bdynamic\b/', $line) === 1 => true,
            preg_match('/\binet .* scope global\b/', $line) === 1 => false,
            default => null,
        };
    }

    private static function isLoopback(string $interface): bool
    {
        return preg_match('/^lo\d?$/', $interface) === 1;
    }
}
