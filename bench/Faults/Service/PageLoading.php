<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** The page answers, and waits for downloads. */
final class PageLoading extends Fault
{
    public function name(): string
    {
        return 'page-loading';
    }

    public function label(): string
    {
        return 'its page is not ready yet';
    }

    public function page(): array
    {
        return [503, 'Loading'];
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => '503',
            'waited' => 'now it is there',
        ];
    }
}
