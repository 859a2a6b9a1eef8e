<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

/** The network refuses the passphrase. */
final class WrongPassphrase extends NoAddress
{
    public function name(): string
    {
        return 'wrong-passphrase';
    }

    public function label(): string
    {
        return 'the Wi-Fi passphrase is wrong';
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
            'try-wifi' => 'the passphrase is refused there too',
            'screen' => 'wlan0: no association',
            'changed' => 'a new card',
        ];
    }
}
