<?php

declare(strict_types=1);

namespace Bench\Faults\Card;

/** A counterfeit: what lies beyond its true size is lost. */
final class CardCounterfeit extends NothingStarts
{
    public function name(): string
    {
        return 'card-counterfeit';
    }

    public function label(): string
    {
        return 'the card holds less than it says';
    }

    protected function traces(): array
    {
        return [
            'page' => 'no answer',
            'reach' => 'no answer',
            'name' => 'no answer, neither by name nor by number',
            'login-says' => 'Connection timed out',
            'complaint' => 'it is new and does not show up',
            'activity-light' => 'steadily lit',
            'link-lights' => 'one lit, the other dark',
            'router-list' => 'not in the list',
            'screen' => 'read errors',
            'card-read' => 'files of the start are missing',
            'other-card' => 'with that one it starts',
            'card-test' => '7.4 of 31.9 GB came back',
            'changed' => 'a new card',
        ];
    }
}
