<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** Cells of the card no longer hold. */
final class CardDying extends NothingStarts
{
    public function name(): string
    {
        return 'card-dying';
    }

    public function label(): string
    {
        return 'the card is failing';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it answered before and is silent now',
            'activity-light' => 'steadily lit',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'mmc0: read error, again and again',
            'card-read' => 'the reader sees no card',
            'other-card' => 'with that one it starts',
            'kernel-log' => 'mmc0: error -110',
            'card-test' => 'input/output error',
        ];
    }
}
