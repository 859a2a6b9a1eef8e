<?php

declare(strict_types=1);

namespace Bench\Faults\Power;

use Bench\Faults\Fault;

/** The supply sags, and the board is slow. */
final class WeakSupply extends Fault
{
    public function name(): string
    {
        return 'weak-supply';
    }

    public function label(): string
    {
        return 'the supply is weak: everything is slow';
    }

    public function slowness(): float
    {
        return 4.0;
    }

    public function withOtherPart(): ?Fault
    {
        return null;
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it comes and goes',
            'power-light' => 'it dips now and then',
            'activity-light' => 'busy, dark, busy',
            'link-lights' => 'both blink together',
            'power-flags' => '0x50005',
            'restarts' => 'five starts today',
            'other-supply' => 'now it runs',
        ];
    }
}
