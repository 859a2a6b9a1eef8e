<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Rules of a packet filter, however they are kept: nft, iptables, and the short form that many type. */
final class FirewallReader implements Reader
{
    public function kind(): string
    {
        return 'firewall';
    }

    public function summary(): string
    {
        return 'nft list ruleset (text, -j), iptables-save, iptables -S, ufw status';
    }

    public function sign(): string
    {
        return '/^\s*\{\s*"nftables" *:|^table (?:ip|ip6|inet|arp|bridge|netdev) \S+ \{|^\*(?:filter|nat|mangle|raw)$|'.
            '^(?:\[\d+:\d+\] )?-A [\w-]+ -|^-P (?:INPUT|FORWARD|OUTPUT) |^Status: (?:active|inactive)$|^To +Action +From$/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = match (true) {
            preg_match(NftJson::SIGN, $text) === 1 => NftJson::read($text),
            preg_match(NftRules::SIGN, $text) === 1 => NftRules::read($text, $unread),
            preg_match(UfwRules::SIGN, $text) === 1 => UfwRules::read($text, $unread),
            preg_match(IptablesRules::SIGN, $text) === 1 => IptablesRules::read($text, $unread),
            default => null,
        };

        return new Reading(
            $this->kind(),
            $facts ?? [],
            $facts === null
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            $facts === null
                ? []
                : [
                    'rules' => count($facts),
                    'active' => preg_match('/^Status: inactive$/m', $text) !== 1,
                ],
            $unread->count(),
        );
    }
}
