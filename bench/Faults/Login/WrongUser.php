<?php

declare(strict_types=1);

namespace Bench\Faults\Login;

use Bench\Faults\Fault;

/** The card made another account. */
final class WrongUser extends Fault
{
    public function name(): string
    {
        return 'wrong-user';
    }

    public function label(): string
    {
        return 'the user name is another';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and the login fails',
            'login-says' => 'Permission denied, please try again',
            'user' => 'another than on record',
        ];
    }
}
