<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

/** The radio stays off without a country. */
final class WrongCountry extends NoAddress
{
    public function name(): string
    {
        return 'wrong-country';
    }

    public function label(): string
    {
        return 'the radio has no country';
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
            'card-read' => 'the radio has no country',
            'screen' => 'wlan0: no association',
            'changed' => 'a new card',
        ];
    }
}
