<?php

declare(strict_types=1);

namespace Burrow\Filter\Write;

/**
 * Zones of unbound.conf(5): "always_nxdomain" refuses a name with everything below, "always_transparent" lets it
 * through.
 */
final class UnboundList extends ListWriter
{
    public function kind(): string
    {
        return 'unbound-list';
    }

    public function summary(): string
    {
        return 'names that unbound refuses, for its server section';
    }

    protected function head(string $origin): string
    {
        return "server:\n";
    }

    protected function refuse(string $name, bool $under): string
    {
        // A zone holds everything below its name; a name alone is one record with an address that leads nowhere.
        return $under
            ? "local-zone: \"{$name}.\" always_nxdomain\n"
            : "local-zone: \"{$name}.\" typetransparent\nlocal-data: \"{$name}. A 0.0.0.0\"\nlocal-data: \"{$name}. AAAA ::\"\n";
    }

    protected function allow(string $name): string
    {
        return "local-zone: \"{$name}.\" always_transparent\n";
    }
}
