<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** Two machines hold one address. */
final class AddressClash extends Fault
{
    public function name(): string
    {
        return 'address-clash';
    }

    public function label(): string
    {
        return 'another machine has its address';
    }

    public function answersForAnother(): bool
    {
        return true;
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it comes and goes',
            'reach' => 'another machine answers there',
            'clash' => 'two hardware addresses take turns',
            'login-says' => 'REMOTE HOST IDENTIFICATION HAS CHANGED',
            'page' => 'another page',
        ];
    }
}
