<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use Burrow\Intake\UnreadLines;

/** A file of wg-quick(8) or wg(8) `showconf`: sections with keys. A private key in it is passed by, unread. */
final class TunnelFile
{
    public const SIGN = '/^\[(?:Interface|Peer)\]$/mi';

    private const OF_END = '/^(?:privatekey|listenport|fwmark|address|dns|mtu|table|preup|postup|predown|postdown|saveconfig)$/D';

    private const OF_PEER = '/^(?:publickey|presharedkey|allowedips|endpoint|persistentkeepalive|advancedsecurity)$/D';

    /** @return list<TunnelInterface> */
    public static function read(string $text, UnreadLines $unread): array
    {
        /** @var list<array{bool, array<string, list<string>>}> $sections whether it is a peer, values by key */
        $sections = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim((string) preg_replace('/#.*/', '', $line));
            $last = array_key_last($sections);
            if (preg_match('/^\[(Interface|Peer)\]$/i', $line, $m) === 1) {
                $sections[] = [strcasecmp($m[1], 'peer') === 0, []];
            } elseif (
                $last !== null &&
                preg_match('/^([A-Za-z]{2,20})\s*=\s*(.{1,2000})$/', $line, $m) === 1
            ) {
                $key = strtolower($m[1]);
                if (preg_match($sections[$last][0] ? self::OF_PEER : self::OF_END, $key) !== 1) {
                    $unread->add($index + 1, 'its key belongs to no section of such a file');

                    continue;
                }
                $values = preg_split('/\s*,\s*/', $m[2], 500, PREG_SPLIT_NO_EMPTY) ?: [];
                $sections[$last][1][$key] = [...$sections[$last][1][$key] ?? [], ...$values];
            } elseif ($line !== '') {
                $unread->add($index + 1, 'it is neither a section nor a key with its value');
            }
        }

        return self::ends($sections);
    }

    /**
     * @param  list<array{bool, array<string, list<string>>}>  $sections
     * @return list<TunnelInterface>
     */
    private static function ends(array $sections): array
    {
        $ends = [];
        foreach ($sections as [$isPeer, $keys]) {
            if (! $isPeer || $ends === []) {
                $ends[] = new TunnelSeen(null);
            }
            $end = $ends[count($ends) - 1];
            $publicKey = ShownTunnel::key($keys['publickey'][0] ?? '');
            if (! $isPeer) {
                $end->listenPort = self::port($keys['listenport'][0] ?? '');
                $end->addresses = $keys['address'] ?? [];
            } elseif ($publicKey !== null) {
                $end->add(
                    new TunnelPeer(
                        $publicKey,
                        $keys['endpoint'][0] ?? null,
                        $keys['allowedips'] ?? [],
                        null,
                        null,
                        null,
                        self::port($keys['persistentkeepalive'][0] ?? ''),
                    ),
                );
            }
        }

        return array_map(fn (TunnelSeen $one): TunnelInterface => $one->fact(), $ends);
    }

    /** A number from 1 to 65535; null for "off" and for what is none. */
    private static function port(string $said): ?int
    {
        return preg_match('/^\d{1,5}$/D', $said) === 1 && (int) $said >= 1 && (int) $said <= 65535
            ? (int) $said
            : null;
    }

    private function __construct()
    {
    }
}
