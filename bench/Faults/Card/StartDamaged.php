<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** The boot partition was damaged by pulling the plug. */
final class StartDamaged extends NothingStarts
{
    public function name(): string
    {
        return 'start-damaged';
    }

    public function label(): string
    {
        return 'the power was pulled while it wrote';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'card-read' => 'files of the start are damaged',
            'other-card' => 'with that one it starts',
            'changed' => 'the power was pulled',
            'activity-light' => 'four blinks, pause, four blinks',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'a picture, then: nothing to start from',
        ];
    }
}
