<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;

/** dnsmasq: its settings and lists decide what it answers. */
final class Resolver implements Service
{
    private const FOLDER = '/etc/dnsmasq.d/';

    /** Options that the settings of a box use; any other is named as the program names it. */
    private const KNOWN = '/^(?:bind-dynamic|bind-interfaces|domain-needed|bogus-priv|no-resolv|log-queries|(?:server|domain|local|host-record|cache-size|address|listen-address|interface|except-interface|dhcp-[a-z]+)=\S+)$/';

    public function unit(): string
    {
        return 'dnsmasq.service';
    }

    public function package(): string
    {
        return 'dnsmasq';
    }

    public function problem(Board $board): ?string
    {
        foreach ($board->machine->files as $path => $text) {
            foreach (str_starts_with($path, self::FOLDER) ? explode("\n", $text) : [] as $at => $line) {
                if (trim($line) !== '' && $line[0] !== '#' && preg_match(self::KNOWN, trim($line)) !== 1) {
                    return 'dnsmasq: bad option at line '.($at + 1)." of {$path}";
                }
            }
        }

        return null;
    }

    public function doors(Board $board): array
    {
        $refused = $records = [];
        $upstream = false;
        foreach ($board->machine->files as $path => $text) {
            if (! str_starts_with($path, self::FOLDER)) {
                continue;
            }
            preg_match_all('~^local=/([^/\s]+)/$~m', $text, $locals);
            preg_match_all('~^host-record=([^,\s]+),(\S+)$~m', $text, $hosts, PREG_SET_ORDER);
            $refused = [...$refused, ...$locals[1]];
            foreach ($hosts as $host) {
                $records[strtolower($host[1])] = $host[2];
            }
            $upstream = $upstream || preg_match('/^server=\d/m', $text) === 1;
        }

        return Answers::names($refused, $records, $upstream, world: $board->rate > 0);
    }
}
