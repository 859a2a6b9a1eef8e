<?php

declare(strict_types=1);

namespace Burrow\Filter\Write;

/** Settings of dnsmasq(8): a domain that is local and has no names is refused, one that is "#" is asked as usual. */
final class DnsmasqNames extends ListWriter
{
    public function kind(): string
    {
        return 'dnsmasq-list';
    }

    public function summary(): string
    {
        return 'names that dnsmasq refuses, for a file of its settings';
    }

    protected function refuse(string $name, bool $under): string
    {
        return $under
            ? "local=/{$name}/\n"
            : "address=/{$name}/0.0.0.0\naddress=/{$name}/::\nserver=/*.{$name}/#\n";
    }

    protected function allow(string $name): string
    {
        return "server=/{$name}/#\n";
    }
}
