<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** The disk is away, and nofail let the start go on. */
final class DiskMissing extends Fault
{
    public function name(): string
    {
        return 'disk-missing';
    }

    public function label(): string
    {
        return 'its data disk is not there';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'the share refuses',
            'share-says' => 'it opens, and is empty',
            'mounts' => 'not mounted',
            'disk-lead' => 'loose at its end',
        ];
    }
}
