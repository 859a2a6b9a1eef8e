<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use Burrow\Intake\UnreadLines;

/** `wg show` for people and `wg show all dump` for programs; words and units are those of show.c. */
final class ShownTunnel
{
    public const SIGN = '/^interface: \S+$|^peer: [A-Za-z0-9+\/]{43}=$/m';

    /** A line of the dump: keys and columns between tabs. */
    public const DUMP = '/^(?:\S{1,15}\t)?(?:[A-Za-z0-9+\/]{43}=|\(none\))\t(?:[A-Za-z0-9+\/]{43}=|\(none\))\t\S+\t\S+/m';

    private const SECONDS = [
        'year' => 31557600,
        'day' => 86400,
        'hour' => 3600,
        'minute' => 60,
        'second' => 1,
    ];

    private const BYTES = [
        'B' => 1,
        'KiB' => 1024,
        'MiB' => 1048576,
        'GiB' => 1073741824,
        'TiB' => 1099511627776,
    ];

    /** @return list<TunnelInterface> */
    public static function read(string $text, UnreadLines $unread): array
    {
        /** @var list<array{bool, string, array<string, string>}> $blocks whether it is a peer, its name or key, its lines */
        $blocks = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            $last = array_key_last($blocks);
            if (preg_match('~^(?:interface: (\S{1,32})|peer: ([A-Za-z0-9+/]{43}=))$~', $line, $m) === 1) {
                $blocks[] = [isset($m[2]), $m[2] ?? $m[1], []];
            } elseif ($last !== null && preg_match('/^([a-z ]{4,24}): (.{1,2000})$/', $line, $m) === 1) {
                $blocks[$last][2][$m[1]] = $m[2];
            } elseif ($line !== '') {
                $unread->add($index + 1, 'it belongs to no end of a tunnel');
            }
        }
        $ends = [];
        foreach ($blocks as [$isPeer, $name, $said]) {
            if (! $isPeer || $ends === []) {
                // A paste that begins in the middle has peers of an end that is not named.
                $ends[] = new TunnelSeen($isPeer ? null : $name);
            }
            $end = $ends[count($ends) - 1];
            if ($isPeer) {
                $end->add(self::peer($name, $said));
            } else {
                $end->publicKey = self::key($said['public key'] ?? '');
                $end->listenPort = self::number($said['listening port'] ?? '');
            }
        }

        return array_map(fn (TunnelSeen $one): TunnelInterface => $one->fact(), $ends);
    }

    /** @return list<TunnelInterface> */
    public static function dump(string $text, UnreadLines $unread): array
    {
        $ends = [];
        foreach (explode("\n", $text) as $index => $line) {
            $cells = explode("\t", trim($line));
            if (count($cells) < 4) {
                trim($line) === '' || $unread->add($index + 1, 'its columns are not those of the dump');

                continue;
            }
            // With "all" the name of the interface stands first: 5 and 9 columns, else 4 and 8.
            $name = in_array(count($cells), [5, 9], true) ? array_shift($cells) : null;
            if (count($cells) === 4) {
                $end = $ends[] = new TunnelSeen($name);
                $end->publicKey = self::key($cells[1]);
                $end->listenPort = self::number($cells[2]);
            } elseif (count($cells) === 8 && self::key($cells[0]) !== null) {
                $end = $ends === [] ? ($ends[] = new TunnelSeen($name)) : $ends[count($ends) - 1];
                $end->add(
                    new TunnelPeer(
                        $cells[0],
                        $cells[2] === '(none)' ? null : $cells[2],
                        $cells[3] === '(none)' ? [] : explode(',', $cells[3]),
                        self::number($cells[4]) ?: null,
                        self::number($cells[5]),
                        self::number($cells[6]),
                        self::number($cells[7]),
                    ),
                );
            } else {
                $unread->add($index + 1, 'its columns are not those of the dump');
            }
        }

        return array_map(fn (TunnelSeen $one): TunnelInterface => $one->fact(), $ends);
    }

    /** @param  array<string, string>  $said */
    private static function peer(string $key, array $said): TunnelPeer
    {
        $moved = explode(', ', $said['transfer'] ?? '');
        $allowed = $said['allowed ips'] ?? '(none)';

        return new TunnelPeer(
            $key,
            $said['endpoint'] ?? null,
            $allowed === '(none)' ? [] : explode(', ', $allowed),
            isset($said['latest handshake']) ? self::seconds($said['latest handshake']) : null,
            self::bytes($moved[0], ' received'),
            self::bytes($moved[1] ?? '', ' sent'),
            preg_match('/^every (.+)$/', $said['persistent keepalive'] ?? '', $m) === 1
                ? self::seconds($m[1])
                : null,
        );
    }

    public static function key(string $said): ?string
    {
        return preg_match('~^[A-Za-z0-9+/]{43}=$~D', $said) === 1 ? $said : null;
    }

    private static function number(string $said): ?int
    {
        return preg_match('/^\d{1,18}$/D', $said) === 1 ? (int) $said : null;
    }

    /** "1 minute, 4 seconds ago", "Now"; null for what is no such time. */
    private static function seconds(string $said): ?int
    {
        if (str_starts_with($said, 'Now')) {
            return 0;
        }
        $all = 0;
        $found = preg_match_all(
            '/(\d{1,9}) (year|day|hour|minute|second)s?\b/',
            $said,
            $parts,
            PREG_SET_ORDER,
        );
        foreach ($parts as [, $count, $unit]) {
            $all += (int) $count * self::SECONDS[$unit];
        }

        return $found > 0 ? $all : null;
    }

    private static function bytes(string $said, string $end): ?int
    {
        return preg_match('/^([\d.]{1,12}) ([KMGT]?i?B)'.$end.'$/', $said, $match) === 1
            ? (int) round((float) $match[1] * (self::BYTES[$match[2]] ?? 1))
            : null;
    }

    private function __construct()
    {
    }
}
