<?php

declare(strict_types=1);

namespace Burrow\Intake\Tunnel;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Ends of tunnels, as wg(8) shows them and as their files describe them. */
final class TunnelReader implements Reader
{
    public function kind(): string
    {
        return 'tunnel';
    }

    public function summary(): string
    {
        return 'ends of a tunnel, from “wg show”, “wg show all dump” and wg-quick files';
    }

    public function sign(): string
    {
        return '/^interface: \S+$|^peer: [A-Za-z0-9+\/]{43}=$|^\[(?:Interface|Peer)\]$|'.
            '^(?:\S{1,15}\t)?(?:[A-Za-z0-9+\/]{43}=|\(none\))\t(?:[A-Za-z0-9+\/]{43}=|\(none\))\t\S+\t\S+/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = match (true) {
            preg_match(ShownTunnel::SIGN, $text) === 1 => ShownTunnel::read($text, $unread),
            preg_match(ShownTunnel::DUMP, $text) === 1 => ShownTunnel::dump($text, $unread),
            preg_match(TunnelFile::SIGN, $text) === 1 => TunnelFile::read($text, $unread),
            default => [],
        };
        if ($facts === []) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::noTunnel()));
        }
        $findings = $unread->findings();
        $secret =
            preg_match('~^[ \t]*(?:PrivateKey|PresharedKey)[ \t]*=[ \t]*[A-Za-z0-9+/]{43}=~mi', $text) === 1;

        return new Reading(
            $this->kind(),
            $facts,
            $secret ? $findings->and([IntakeFindings::privateKeyPasted()]) : $findings,
            ['peers' => array_sum(array_map(fn (TunnelInterface $end): int => count($end->peers), $facts))],
            $unread->count(),
        );
    }
}
