<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

/** Another machine answers DHCP, with other numbers. */
final class SecondDhcp extends NoAddress
{
    public function name(): string
    {
        return 'second-dhcp';
    }

    public function label(): string
    {
        return 'a second machine hands out addresses';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'router-list' => 'not in the list',
            'dhcp' => 'offers from {router} and 10.0.0.138',
            'screen' => '10.0.0.21/24',
            'changed' => 'a new access point',
        ];
    }
}
