<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** Whoever comes first owns the page. */
final class Unclaimed extends Fault
{
    public function name(): string
    {
        return 'unclaimed';
    }

    public function label(): string
    {
        return 'its page was never claimed';
    }

    public function page(): array
    {
        return [200, 'Create an owner account'];
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'it asks for a first owner',
        ];
    }
}
