<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;

/** Findings about a card that several rules make. */
final class CardFindings
{
    /** @param  string  $what  "accounts", "links", "networks" */
    public static function onlyFirst(string $what, Place $place): Finding
    {
        return Finding::warn(
            'card.only_first',
            'Only the first '.TextBudget::ITEMS." {$what} were judged.",
            'No household has more; the file may hold the same ones over and over.',
            'Look over how the file was made.',
            $place,
        );
    }
}
