<?php

declare(strict_types=1);

namespace Bench\Faults\Login;

use Bench\Faults\Fault;

/** The card was written anew, and the old key is remembered. */
final class KeyChanged extends Fault
{
    public function name(): string
    {
        return 'key-changed';
    }

    public function label(): string
    {
        return 'the desk remembers an older key';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and the login fails',
            'login-says' => 'REMOTE HOST IDENTIFICATION HAS CHANGED',
            'changed' => 'the card was written anew',
        ];
    }
}
