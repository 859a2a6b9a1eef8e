<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** The network password was never set. */
final class SharePassword extends Fault
{
    public function name(): string
    {
        return 'share-password';
    }

    public function label(): string
    {
        return 'the share has no password for the account';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'the share refuses',
            'share-says' => 'wrong account or password',
            'share-check' => 'the account is not in the list',
        ];
    }
}
