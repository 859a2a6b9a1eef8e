<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** An empty card. */
final class CardEmpty extends NothingStarts
{
    public function name(): string
    {
        return 'card-empty';
    }

    public function label(): string
    {
        return 'nothing was written to the card';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'card-read' => 'no system on it',
            'other-card' => 'with that one it starts',
            'changed' => 'a new card',
            'activity-light' => 'dark from the start',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'a picture, then: nothing to start from',
        ];
    }
}
