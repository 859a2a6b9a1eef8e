<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Protocol;

/**
 * `ss` with its options for listening sockets (iproute2, misc/ss.c): with or without header and column of the kind, as
 * administrator or not, with numbers or names, and as older releases print it.
 */
final class SsForm implements ListeningForm
{
    /** Kinds of sockets that are no internet service. */
    private const OTHER = '/^(?:u_\w+|nl|p_\w+|raw6?|icmp6?|v_\w+|tipc|xdp|dccp|sctp|mptcp|vsock|\?\?\?)\s/';

    public function sign(): string
    {
        return '/^ *(?:Netid +State +Recv-Q|State +Recv-Q +Send-Q +Local|(?:tcp|udp) +(?:LISTEN|UNCONN) +\d|(?:LISTEN|UNCONN) +\d+ +\d+ +\S+:)/m';
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $facts = [];
        // Before release 4.15 a star was IPv4's, and IPv6 stood as ":::22" without brackets.
        $any = preg_match('/ :::[\w-]+ +:::\*/', $text) === 1 ? '0.0.0.0' : '::';
        foreach (Lines::of($text) as $number => $line) {
            if (
                preg_match(self::OTHER, $line) === 1 ||
                preg_match('/^\s*(?:Netid|State)\s+\S*\s*Recv-Q/', $line) === 1
            ) {
                continue;
            }
            $words = Lines::words($line);
            $protocol = Protocol::tryFrom($words[0] ?? '');
            $words = $protocol === null ? $words : array_slice($words, 1);
            $state = $words[0] ?? '';
            if (
                $words === [] ||
                (preg_match('/^[A-Z][A-Z0-9-]{3,12}$/D', $state) === 1 &&
                    $state !== 'LISTEN' &&
                    $state !== 'UNCONN')
            ) {
                // Connected: somebody is served, which is another list.
                continue;
            }
            // More of a socket stands indented below it under -e, -i, -o and -m.
            if (
                preg_match(
                    '/^\s+(?:skmem:|cubic|bbr|ino:|uid:|\S+ wscale:|users:|cgroup:|timer:|bytes_)/',
                    $line,
                ) === 1
            ) {
                continue;
            }
            $protocol ??= $state === 'UNCONN' ? Protocol::Udp : Protocol::Tcp;
            // With -l alone the state may be left out: the queues come first.
            $at = ctype_digit($state) ? 2 : 3;
            $local = Local::of($protocol, $words[$at] ?? '', $any);
            if ($local === null || ! ctype_digit($words[$at - 1] ?? '')) {
                $unread->add($number, 'no local address with its port stands in it');

                continue;
            }
            // users:(("sshd",pid=712,fd=3)), and before 4.0 users:(("sshd",712,3)).
            $facts[] =
                preg_match('/users:\(\("([^"]{1,64})",(?:pid=)?(\d{1,10})/', $line, $m) === 1
                    ? $local->listener($protocol, $m[1], (int) $m[2])
                    : $local->listener($protocol);
        }

        return $facts;
    }
}
