<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

/** Lines for known_hosts (sshd(8)): every key under the full name, the short name and the address. */
final class KnownHosts extends NetworkWriter
{
    public function kind(): string
    {
        return 'known-hosts';
    }

    public function summary(): string
    {
        return 'lines for ~/.ssh/known_hosts: the keys that are kept, by name and address';
    }

    protected function text(array $networks, callable $lacks): string
    {
        $lines = '';
        foreach ($networks as $network) {
            foreach ($network->hosts as $host) {
                $host->keys === [] && $lacks($host, 'host key');
                $names = array_filter([
                    strtolower("{$host->name}.{$network->domain}"),
                    strtolower($host->name),
                    (string) $host->address,
                    (string) $host->ipv6,
                ]);
                if ($host->port !== 22) {
                    // With HostKeyAlias, which SshConfig writes, the key is looked up without a port (ssh_config(5)).
                    $names = [
                        ...array_map(fn (string $name): string => "[{$name}]:{$host->port}", $names),
                        strtolower("{$host->name}.{$network->domain}"),
                    ];
                }
                foreach ($host->keys as $key) {
                    $lines .= implode(',', $names)." {$key->type} {$key->base64}\n";
                }
            }
        }

        return $lines;
    }
}
