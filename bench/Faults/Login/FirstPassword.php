<?php

declare(strict_types=1);

namespace Bench\Faults\Login;

use Bench\Faults\Fault;

/** The image forces a new password at the first login. */
final class FirstPassword extends Fault
{
    public function name(): string
    {
        return 'first-password';
    }

    public function label(): string
    {
        return 'the first password has to be changed';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and the login fails',
            'login-says' => 'You are required to change your password',
            'changed' => 'a new card',
        ];
    }
}
