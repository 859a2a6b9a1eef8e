<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** The line is down. */
final class InternetOut extends Fault
{
    public function name(): string
    {
        return 'internet-out';
    }

    public function label(): string
    {
        return 'there is no internet';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'names fail',
            'internet' => 'none',
            'filter' => 'SERVFAIL',
        ];
    }
}
