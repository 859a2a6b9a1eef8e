<?php

declare(strict_types=1);

namespace Burrow\Filter\Write;

/** Lines of hosts(5): a name alone and nothing below it; what is to be let through is left out. */
final class HostsList extends ListWriter
{
    public function kind(): string
    {
        return 'hosts-list';
    }

    public function summary(): string
    {
        return 'names that are refused, as lines of a hosts file; it knows nothing of what lies below them';
    }

    protected function refuse(string $name, bool $under): string
    {
        return "0.0.0.0 {$name}\n";
    }

    protected function allow(string $name): string
    {
        return '';
    }
}
