<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Household\WhoReaches;
use Burrow\Judgement\Findings;
use Burrow\Ports\TypedPortFindings;

/**
 * Rules of nftables for one box, in a table of their own (nft(8)): what the ledger plans comes in, the rest stays out.
 * Loading it again replaces the table in one step; tables of others, such as a container engine's, stay as they are.
 * What IPv6 cannot live without comes in (RFC 4890 4.4).
 */
final class NftablesFile implements FileKind
{
    public function kind(): string
    {
        return 'nftables';
    }

    public function summary(): string
    {
        return 'packet filter of a box for nft -f: its ports come in for those who may, the rest stays out';
    }

    public function schema(): string
    {
        return 'core/Ports/schema/ports.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        [$box, $findings] = BoxPorts::read($values, $schema, $name);

        return $box === null ? new WrittenFile($this->kind(), null, $findings) : $this->of($box, $findings);
    }

    public function of(BoxPorts $box, ?Findings $findings = null): WrittenFile
    {
        $findings ??= Findings::of();
        $login = array_filter($box->ports, fn (FilteredPort $one): bool => $one->isLogin());

        return $login === []
            ? new WrittenFile($this->kind(), null, $findings->and([TypedPortFindings::noLoginLeft($box->box)]))
            : new WrittenFile($this->kind(), $this->text($box), $findings);
    }

    private function text(BoxPorts $box): string
    {
        $rules = [];
        foreach ($box->ports as $port) {
            foreach ($this->sources($box, $port) as $source) {
                $rules[] = "{$source}{$port->protocol->value} dport {$port->range()} accept comment \"{$port->purpose}\"";
            }
        }
        $names = [];
        foreach ($box->multicastNames ? [false, true] : [] as $six) {
            if (BoxPorts::family($box->house, $six) !== []) {
                $names[] =
                    $this->from($box->house, $six).'udp dport 5353 accept comment "names by multicast"';
            }
        }
        $lines = [
            '#!/usr/sbin/nft -f',
            "# Packet filter of {$box->box}: what is planned comes in, the rest stays out.",
            '# Declared first, so that the deletion below finds it the first time, too.',
            'table inet burrow',
            'delete table inet burrow',
            '',
            'table inet burrow {',
            '    chain incoming {',
            '        type filter hook input priority filter; policy drop;',
            '        iifname "lo" accept',
            '        ct state established,related accept',
            '        ct state invalid drop',
            '        icmp type { echo-request, destination-unreachable, time-exceeded, parameter-problem } accept',
            '        icmpv6 type { echo-request, destination-unreachable, packet-too-big, time-exceeded, parameter-problem, nd-router-advert, nd-neighbor-solicit, nd-neighbor-advert, mld-listener-query } accept',
            '        udp sport 67 udp dport 68 accept comment "leases"',
            '        ip6 saddr fe80::/10 udp dport 546 accept comment "leases"',
            ...array_map(fn (string $rule): string => "        {$rule}", [...$names, ...$rules]),
            '        counter comment "kept out"',
            '    }',
            '}',
            '',
        ];

        return implode("\n", $lines);
    }

    /** @return list<string> the beginnings of the rules of one port: one, or one for each family of addresses */
    private function sources(BoxPorts $box, FilteredPort $port): array
    {
        $from = match ($port->reach) {
            WhoReaches::Box => null,
            WhoReaches::World => [],
            WhoReaches::Some => $port->from,
            WhoReaches::House => $box->house,
            WhoReaches::Tunnel => [...$box->house, ...$box->tunnel],
        };
        if ($from === null) {
            return [];
        }

        return $from === []
            ? ['']
            : array_values(
                array_filter(
                    [$this->from($from, false), $this->from($from, true)],
                    fn (string $one): bool => $one !== '',
                ),
            );
    }

    /** @param  list<string>  $prefixes */
    private function from(array $prefixes, bool $six): string
    {
        $own = BoxPorts::family($prefixes, $six);
        $word = $six ? 'ip6' : 'ip';

        return match (count($own)) {
            0 => '',
            1 => "{$word} saddr {$own[0]} ",
            default => "{$word} saddr { ".implode(', ', $own).' } ',
        };
    }
}
