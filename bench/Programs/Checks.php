<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Services\Services;

/** Configurations looked over before their service starts, ports and clocks asked after. */
final class Checks implements Program
{
    private const FINE = [
        'dnsmasq' => 'dnsmasq: syntax check OK.',
        'nginx' => "nginx: the configuration file /etc/nginx/nginx.conf syntax is ok\nnginx: configuration file /etc/nginx/nginx.conf test is successful",
    ];

    public function names(): array
    {
        return ['dnsmasq', 'nginx', 'ss', 'ping', 'timedatectl'];
    }

    public function run(Call $call): Said
    {
        $name = basename($call->words[0]);
        if (isset(self::FINE[$name])) {
            $problem = Services::find($call->board, $name)?->problem($call->board);

            return $problem === null ? Said::noting(self::FINE[$name]) : Said::failed($problem);
        }

        return Said::ok(
            match ($name) {
                'ss' => $this->listening($call),
                'ping' => "3 packets transmitted, 3 received, 0% packet loss, time 2003ms\n",
                default => "                Time zone: Europe/London (GMT, +0000)\nSystem clock synchronized: yes\n",
            },
        );
    }

    private function listening(Call $call): string
    {
        $port = preg_match('/:(\d+)/', implode(' ', $call->words), $match) === 1 ? (int) $match[1] : null;
        $lines = ['Netid State  Recv-Q Send-Q Local Address:Port Peer Address:Port Process'];
        foreach (Services::doors($call->board) as $door) {
            if ($port === null || $door->port === $port) {
                $lines[] = "{$door->protocol}   LISTEN 0      128          0.0.0.0:{$door->port}      0.0.0.0:*";
            }
        }

        return implode("\n", $lines)."\n";
    }
}
