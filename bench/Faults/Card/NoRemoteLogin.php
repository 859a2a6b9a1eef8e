<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

use Bench\Faults\Fault;

/** The service of remote login did not start. */
final class NoRemoteLogin extends Fault
{
    public function name(): string
    {
        return 'no-remote-login';
    }

    public function label(): string
    {
        return 'remote login does not start';
    }

    public function opens(int $port): bool
    {
        return $port !== 22;
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and the login fails',
            'reach' => 'port 22 refuses',
            'card-read' => 'nothing switches remote login on',
            'login-says' => 'Connection refused',
            'changed' => 'a new card',
        ];
    }
}
