<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** ssh_config(5): one entry a box, found by its short and its full name. */
final class SshConfig extends NetworkWriter
{
    public function kind(): string
    {
        return 'ssh-config';
    }

    public function summary(): string
    {
        return 'entries for ~/.ssh/config: every box by name, with account and port';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $text = '';
        foreach ($networks as $network) {
            foreach ($network->hosts as $host) {
                $address = $host->address ?? $host->ipv6;
                if ($address === null) {
                    $lacks($host, 'address');

                    continue;
                }
                $full = strtolower("{$host->name}.{$network->domain}");
                $text .=
                    "\nHost ".
                    strtolower(implode(' ', [$host->name, $full, ...$host->aliases])).
                    "\n    HostName {$address}\n    HostKeyAlias {$full}\n".
                    ($host->user === '' ? '' : "    User {$host->user}\n").
                    ($host->port === 22 ? '' : "    Port {$host->port}\n");
            }
        }

        return $text === '' ? '' : "# Boxes of this house\n".ltrim($text);
    }
}
