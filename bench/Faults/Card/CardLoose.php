<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** The card does not touch its contacts. */
final class CardLoose extends NothingStarts
{
    public function name(): string
    {
        return 'card-loose';
    }

    public function label(): string
    {
        return 'the card is not seated';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'reseated' => 'now it starts',
            'other-card' => 'with that one it starts',
            'changed' => 'it was carried to its place',
            'activity-light' => 'dark from the start',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'a picture, then: nothing to start from',
        ];
    }
}
