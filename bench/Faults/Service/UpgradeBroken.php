<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** Packages are half configured. */
final class UpgradeBroken extends ServiceGone
{
    public function name(): string
    {
        return 'upgrade-broken';
    }

    public function label(): string
    {
        return 'an upgrade broke off';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'units' => 'failed',
            'packages' => 'three packages half configured',
            'changed' => 'an update ran',
        ];
    }
}
