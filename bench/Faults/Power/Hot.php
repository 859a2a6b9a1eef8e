<?php

declare(strict_types=1);

namespace Bench\Faults\Power;

use Bench\Faults\Fault;

/** No air reaches it: the processor slows itself down. */
final class Hot extends Fault
{
    public function name(): string
    {
        return 'hot';
    }

    public function label(): string
    {
        return 'it is too hot';
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
            'touch' => 'too hot to keep a finger there',
            'power-flags' => '0xe0008',
            'restarts' => 'two starts today',
        ];
    }
}
