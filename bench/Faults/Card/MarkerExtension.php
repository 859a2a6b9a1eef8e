<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

use Bench\Faults\Fault;

/** The file that switches remote login on is called ssh.txt. */
final class MarkerExtension extends Fault
{
    public function name(): string
    {
        return 'marker-extension';
    }

    public function label(): string
    {
        return 'the marker file has an extension';
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
            'card-read' => 'ssh.txt in place of ssh',
            'login-says' => 'Connection refused',
            'changed' => 'a new card',
        ];
    }
}
