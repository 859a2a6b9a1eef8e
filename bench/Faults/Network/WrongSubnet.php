<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

/** The address on the card is not of this network. */
final class WrongSubnet extends NoAddress
{
    public function name(): string
    {
        return 'wrong-subnet';
    }

    public function label(): string
    {
        return 'its fixed address is of another network';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'router-list' => 'not in the list',
            'card-read' => 'an address outside of this network',
            'screen' => '192.0.2.40/24',
            'changed' => 'a new card',
        ];
    }
}
