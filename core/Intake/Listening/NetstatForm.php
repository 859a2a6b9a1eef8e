<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Protocol;

/**
 * `netstat` of three systems: net-tools and the small multi-call binary on a board, the BSD kind ("*.22"), and the one
 * whose lines begin with TCP in capitals and end with a process number (-ano, and -anob with names below).
 */
final class NetstatForm implements ListeningForm
{
    public function sign(): string
    {
        return '/^ *(?:Active (?:Internet|LISTEN|Connections)|Proto +(?:Recv-Q|Local)|(?:tcp|udp)(?:4|6|46)? +\d+ +\d+ +\S+|(?:TCP|UDP) +\S+:\d+ +\S+)/m';
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $facts = [];
        $last = null;
        $sockets = $noted = false;
        foreach (Lines::of($text) as $number => $line) {
            $words = Lines::words($line);
            // "(Not all processes could be identified, …" goes on in the next line.
            $goesOn = $noted;
            $noted = str_starts_with($line, '(') && ! str_contains($line, ')');
            if (str_starts_with($line, '(') || ($goesOn && str_contains($line, ')'))) {
                continue;
            }
            if (preg_match('/^\s*(?:Active |Proto\b)/i', $line) === 1) {
                // "Active UNIX domain sockets": files, and none of our business.
                $sockets =
                    str_contains($line, 'UNIX') || ($sockets && ! str_starts_with(ltrim($line), 'Active'));

                continue;
            }
            if ($words === [] || $sockets || preg_match('/^(?:raw|unix|udplite|icm)/', $words[0]) === 1) {
                continue;
            }
            // " [svchost.exe]" names the program of the line above; " RpcSs" before it the service inside.
            if (preg_match('/^\s*\[(.{1,64})\]$/', $line, $m) === 1) {
                if ($last !== null && isset($facts[$last])) {
                    $one = $facts[$last];
                    $facts[$last] = new Listener($one->protocol, $one->address, $one->port, $m[1], $one->pid);
                }

                continue;
            }
            if (preg_match('/^(tcp|udp)(4|6|46)?$/Di', $words[0], $kind) !== 1) {
                // A single word is the service inside a program; "Can not obtain ownership information" says so.
                if (count($words) > 1 && ! str_starts_with($words[0], 'Can')) {
                    $unread->add($number, 'no socket stands in it');
                }

                continue;
            }
            $protocol = Protocol::from(strtolower($kind[1]));
            $fact =
                $words[0] === strtoupper($words[0])
                    ? self::capitals($protocol, $words)
                    : self::queues($protocol, $kind[2] ?? '', $words, $line);
            $last = null;
            if ($fact instanceof Listener) {
                $last = count($facts);
                $facts[] = $fact;
            } elseif ($fact === null) {
                $unread->add($number, 'its local address cannot be read');
            }
        }

        return $facts;
    }

    /**
     * "TCP    0.0.0.0:135    0.0.0.0:0    LISTENING    1104", "UDP    [::]:5353    *:*    2210".
     *
     * @param  list<string>  $words
     * @return Listener|false|null false when it is connected, null when it cannot be read
     */
    private static function capitals(Protocol $protocol, array $words): Listener|false|null
    {
        $local = Local::of($protocol, $words[1] ?? '', '0.0.0.0');
        if ($local === null) {
            return null;
        }
        $away = $words[2] ?? '';
        // The word for the state is in the language of the system; a listening socket has nobody at its other end.
        if ($protocol === Protocol::Tcp && preg_match('/:0$/D', $away) !== 1) {
            return false;
        }
        $pid = $words[count($words) - 1];

        return $local->listener($protocol, null, count($words) > 3 && ctype_digit($pid) ? (int) $pid : null);
    }

    /**
     * "tcp 0 0 0.0.0.0:22 0.0.0.0:* LISTEN 712/sshd: /usr/sbin", "tcp46 0 0 *.8081 *.* LISTEN".
     *
     * @param  list<string>  $words
     */
    private static function queues(
        Protocol $protocol,
        string $family,
        array $words,
        string $line,
    ): Listener|false|null {
        $said = $words[3] ?? '';
        $any = $family === '4' || $family === '' ? '0.0.0.0' : '::';
        $dot = preg_match('/\.(?:\*|[\w-]+)$/D', $said) === 1 && preg_match('/:[\w*-]+$/D', $said) !== 1;
        $dot = $dot || preg_match('/^\*\./', $said) === 1;
        if ($dot && preg_match('/\.\*$/D', $said) === 1) {
            // A UDP socket that has no port yet.
            return false;
        }
        $local = Local::of($protocol, $said, $any, $dot);
        if ($local === null) {
            return null;
        }
        $away = $words[4] ?? '';
        $listens =
            $protocol === Protocol::Tcp
                ? ($words[5] ?? '') === 'LISTEN'
                : preg_match('/[:.]\*$/D', $away) === 1;
        if (! $listens) {
            return false;
        }
        // PID/Program name, or "-" without the right to see it; the BSD kind has name:pid far to the right under -v.
        if (preg_match('~ (\d{1,10})/(\S{1,64}?):?(?: |$)~', $line, $m) === 1) {
            return $local->listener($protocol, $m[2], (int) $m[1]);
        }
        if ($dot && preg_match('/ ([\w.-]{1,64}):(\d{1,10}) /', $line, $m) === 1) {
            return $local->listener($protocol, $m[1], (int) $m[2]);
        }

        return $local->listener($protocol);
    }
}
