<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** Peers of a tunnel endpoint from `wg show`, for people; the words and units are those of wg(8)'s show.c. */
final class TunnelReader implements Reader
{
    private const SECONDS = ['year' => 31557600, 'day' => 86400, 'hour' => 3600, 'minute' => 60, 'second' => 1];

    private const BYTES = ['B' => 1, 'KiB' => 1024, 'MiB' => 1048576, 'GiB' => 1073741824, 'TiB' => 1099511627776];

    public function kind(): string
    {
        return 'tunnel';
    }

    public function summary(): string
    {
        return 'devices of a tunnel endpoint, from “wg show”';
    }

    public function sign(): string
    {
        return '/^interface: \S+$|^peer: [A-Za-z0-9+\/]{43}=$/m';
    }

    public function read(string $text): Reading
    {
        $peers = [];
        $peer = null;
        $interface = false;
        foreach (explode("\n", str_replace("\r", '', $text)) as $line) {
            $line = trim((string) preg_replace('/\e\[[0-9;]{0,12}[A-Za-z]/', '', $line));
            if (preg_match('/^interface: (\S{1,32})$/', $line) === 1) {
                $interface = true;
                $peer = null;
            } elseif (preg_match('~^peer: ([A-Za-z0-9+/]{43}=)$~', $line, $match) === 1) {
                $peer = $match[1];
                $peers[$peer] = [];
            } elseif ($peer !== null && preg_match('/^([a-z ]{4,24}): (.{1,2000})$/', $line, $match) === 1) {
                $peers[$peer][$match[1]] = $match[2];
            }
        }
        if (! $interface && $peers === []) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::noTunnel()));
        }
        $facts = [];
        foreach ($peers as $key => $said) {
            $moved = explode(', ', $said['transfer'] ?? '');
            $facts[] = new TunnelPeer(
                $key,
                $said['endpoint'] ?? null,
                isset($said['allowed ips']) && $said['allowed ips'] !== '(none)'
                    ? explode(', ', $said['allowed ips'])
                    : [],
                isset($said['latest handshake']) ? self::seconds($said['latest handshake']) : null,
                self::bytes($moved[0], ' received'),
                self::bytes($moved[1] ?? '', ' sent'),
                preg_match('/^every (.+)$/', $said['persistent keepalive'] ?? '', $match) === 1
                    ? self::seconds($match[1])
                    : null,
            );
        }

        return new Reading($this->kind(), $facts === [] ? [new TunnelInterface()] : $facts, Findings::of());
    }

    /** "1 minute, 4 seconds ago", "Now"; null for what is no such time. */
    private static function seconds(string $said): ?int
    {
        if (str_starts_with($said, 'Now')) {
            return 0;
        }
        $all = 0;
        $found = preg_match_all('/(\d{1,9}) (year|day|hour|minute|second)s?\b/', $said, $parts, PREG_SET_ORDER);
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
}
