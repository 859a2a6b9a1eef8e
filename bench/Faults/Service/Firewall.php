<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** Rules on the box drop what they should let in. */
final class Firewall extends Fault
{
    public function name(): string
    {
        return 'firewall';
    }

    public function label(): string
    {
        return 'its firewall drops everything but the login';
    }

    public function drops(int $port): bool
    {
        return $port !== 22;
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'no answer',
            'firewall' => 'policy drop, only 22 accepted',
            'changed' => 'settings were edited',
        ];
    }
}
