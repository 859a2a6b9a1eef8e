<?php

declare(strict_types=1);

namespace Burrow\Filter\Write;

/** A zone of response policies, for named and for unbound: a name that leads to the root does not exist. */
final class RpzList extends ListWriter
{
    public function kind(): string
    {
        return 'rpz';
    }

    public function summary(): string
    {
        return 'a zone of response policies: names that do not exist for whoever asks, and exceptions';
    }

    protected function head(string $origin): string
    {
        return "\$TTL 300\n\$ORIGIN {$origin}.\n@ IN SOA localhost. nobody.localhost. 1 3600 600 86400 300\n@ IN NS localhost.\n";
    }

    protected function refuse(string $name, bool $under): string
    {
        return "{$name} CNAME .\n".($under ? "*.{$name} CNAME .\n" : '');
    }

    protected function allow(string $name): string
    {
        return "{$name} CNAME rpz-passthru.\n*.{$name} CNAME rpz-passthru.\n";
    }
}
