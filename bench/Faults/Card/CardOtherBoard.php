<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** The image does not know this board. */
final class CardOtherBoard extends NothingStarts
{
    public function name(): string
    {
        return 'card-other-board';
    }

    public function label(): string
    {
        return 'the image is for another board';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'activity-light' => 'four blinks, pause, four blinks',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'a picture, then: nothing to start from',
            'card-read' => 'an image for other boards',
            'changed' => 'a new card',
        ];
    }
}
