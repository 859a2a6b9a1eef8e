<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;
use Burrow\Text\TooMuch;

/** Findings about a card that several rules make. */
final class CardFindings
{
    /** Codes of those that say that a part of the card was not looked at. */
    public const UNREAD = ['card.not_all_named', 'card.not_looked_at', 'card.only_first'];

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

    /** So many faults stand in a file that the rest of it was not read. */
    public static function notAllNamed(int $most, Place $place): Finding
    {
        return Finding::warn(
            'card.not_all_named',
            "Only the first {$most} faults are named; what follows here was not read.",
            'Most often one fault repeats, or the file is another kind of file.',
            'Mend these, then look again.',
            $place,
        );
    }

    /** A file of the card that is over the budget of one. */
    public static function notLookedAt(string $file, TooMuch $tooMuch): Finding
    {
        return Finding::warn(
            'card.not_looked_at',
            "{$file} was not looked at: {$tooMuch->because}.",
            'A first-boot file is short; this one is something else, or an editor filled it with blanks.',
            'Look at it by hand, or make it anew.',
            Place::file($file, $tooMuch->line),
        );
    }
}
