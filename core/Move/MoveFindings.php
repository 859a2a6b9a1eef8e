<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Judgement\Finding;

/** Every judgement of this stage, each with its one text; docs/formulas/move.md lists them with their sources. */
final class MoveFindings
{
    /** @param  list<string>  $what  in the words of the jobs */
    public static function nothingKept(string $box, array $what): Finding
    {
        return Finding::stop(
            'move.nothing_kept',
            "Nothing of {$box} is copied anywhere".($what === [] ? '.' : ': '.implode('; ', $what).'.'),
            'What nobody else has is gone with it.',
            'Set a backup up while it lives.',
        );
    }

    public static function lastCopy(string $name, int $hours): Finding
    {
        $ago = $hours < 48 ? "{$hours} hours" : intdiv($hours, 24).' days';

        return Finding::note(
            'move.since_last_copy',
            "What came since the last copy of {$name}, {$ago} ago, would be gone.",
            'A copy is a moment.',
            'Copy more often what changes often.',
        );
    }

    public static function notTried(string $name): Finding
    {
        return Finding::warn(
            'move.not_tried',
            "Whether {$name} can be brought back nobody knows.",
            'It was never tried, or was not whole when it was.',
            'Bring it back once into a folder of its own.',
        );
    }

    /** @param  list<string>  $labels */
    public static function answersMissing(array $labels): Finding
    {
        $more = count($labels) - 5;

        return Finding::note(
            'move.answers_missing',
            'What was answered when it was set up is not kept: '.
                implode(', ', array_slice($labels, 0, 5)).
                ($more > 0 ? " and {$more} more" : '').
                '.',
            'It will be asked again, and somebody has to remember.',
            'Write it into its jobs while it lives.',
        );
    }

    public static function boardUnknown(string $box): Finding
    {
        return Finding::warn(
            'move.board_unknown',
            "Which board {$box} is nobody wrote down, or the catalogue does not hold it any more.",
            'Another one may have other sockets, and want another image.',
            'Look at it, and write it down.',
        );
    }

    public static function keysGone(): Finding
    {
        return Finding::note(
            'move.keys_gone',
            'The private key of its tunnel is on it alone, as it should be; a new one is made.',
            'Each device has the old public key in its profile.',
            'Every device gets a new profile; the list stands under Reach.',
        );
    }

    public static function couldBeBack(string $box, string $time): Finding
    {
        return Finding::fine(
            'move.could_be_back',
            ucfirst($box)." could be back in about {$time}.",
            'Counted from the moment when a board and a card are at hand.',
        );
    }

    private function __construct()
    {
    }
}
