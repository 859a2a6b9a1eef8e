<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** The card lies with its contacts away from the board. */
final class CardTurned extends NothingStarts
{
    public function name(): string
    {
        return 'card-turned';
    }

    public function label(): string
    {
        return 'the card is in the wrong way round';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'reseated' => 'it lay the wrong way round',
            'changed' => 'a new card',
            'activity-light' => 'dark from the start',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'a picture, then: nothing to start from',
        ];
    }
}
