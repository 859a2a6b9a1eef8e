<?php

declare(strict_types=1);

namespace Bench\Faults\Power;

use Bench\Faults\Fault;

/** The supply gives nothing, or the board is broken: no light comes on. */
final class DeadSupply extends Fault
{
    public function name(): string
    {
        return 'dead-supply';
    }

    public function label(): string
    {
        return 'no light comes on';
    }

    public function starts(): bool
    {
        return false;
    }

    public function withOtherPart(): ?Fault
    {
        return null;
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'power-light' => 'dark',
            'activity-light' => 'dark from the start',
            'link-lights' => 'both dark',
            'other-supply' => 'now it runs',
            'screen' => 'dark',
        ];
    }
}
