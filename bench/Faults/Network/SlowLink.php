<?php

declare(strict_types=1);

namespace Bench\Faults\Network;

use Bench\Faults\Fault;

/** One pair of the cable is broken. */
final class SlowLink extends Fault
{
    public function name(): string
    {
        return 'slow-link';
    }

    public function label(): string
    {
        return 'its link came up at 100 Mb/s';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is slow',
            'link-speed' => '100Mb/s',
            'other-cable' => 'now it is fast',
        ];
    }
}
