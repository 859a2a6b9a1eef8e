<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Judgement\Finding;
use Burrow\Text\Words;

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
        $ago = $hours < 48 ? Words::counted($hours, 'hour') : Words::counted(intdiv($hours, 24), 'day');

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

    public static function nothingHangs(string $box): Finding
    {
        return Finding::fine('move.nothing_hangs', "Nothing in the record hangs on {$box} any more.");
    }

    public static function typed(string $found): Finding
    {
        return Finding::stop('move.typed', $found, '', '');
    }

    public static function stillAnswers(string $box, string $ago): Finding
    {
        return Finding::stop(
            'move.still_answers',
            ucfirst($box)." answered {$ago} ago.",
            'Its address becomes free: who gets it next would share it with one that is on.',
            'Halt it, and look here again in a minute.',
        );
    }

    /** @param  bool  $covered  it can be asked from here */
    public static function nobodyLooked(string $box, bool $covered): Finding
    {
        $found = "Whether {$box} is off nobody looked in the last minutes.";
        $why = 'Its address becomes free: who gets it next would share it with one that is on.';

        return $covered
            ? Finding::stop(
                'move.nobody_looked',
                $found,
                $why,
                'Wait until it was asked, which is once a minute.',
            )
            : Finding::warn(
                'move.nobody_looked',
                $found,
                'It lies outside the network that may be asked.',
                'Look at its lights before you go on.',
            );
    }

    public static function stillOpen(string $box, string $opening): Finding
    {
        return Finding::stop(
            'move.still_open',
            "{$opening} of the router still leads to {$box}.",
            'Whoever gets its address next would be open to the world without knowing.',
            'Close it in the router, then take it out under Reach.',
        );
    }

    /** @param  list<string>  $copies  "pictures of lantern" */
    public static function keepsCopies(string $box, array $copies): Finding
    {
        return Finding::stop(
            'move.keeps_copies',
            'Copies lie on it: '.self::few($copies).'.',
            "They go with {$box}, and what makes them would fail every night.",
            'Give these backups another place, and let each run once.',
        );
    }

    public static function onlyOne(string $box, string $serves): Finding
    {
        return Finding::warn(
            'move.only_one',
            "Nobody but {$box} gives the house {$serves}.",
            'The whole house is without it from the moment it is off.',
            'Have another hand it out first, and wait until every device has asked for its address anew.',
        );
    }

    /** @param  list<string>  $losses  "lantern loses files" */
    public static function needed(string $box, array $losses): Finding
    {
        return Finding::warn(
            'move.needed',
            "Others need {$box}: ".self::few($losses).'.',
            'They stand still, or write to a folder that is none.',
            'Have them use another one first.',
        );
    }

    public static function filesOnlyHere(string $box): Finding
    {
        return Finding::warn(
            'move.files_only_here',
            "What {$box} keeps for the household is copied nowhere, as far as is known.",
            'With its card or disk wiped it is gone.',
            'Copy it, bring one file back, then go on.',
        );
    }

    /** @param  list<string>  $clients */
    public static function stillHeld(string $box, array $clients): Finding
    {
        return Finding::note(
            'move.still_held',
            count($clients)." hold an address, a name or a key of {$box}: ".self::few($clients).'.',
            'They go on asking a place where nobody is, or somebody else.',
            'Change each, then take it out of the ledger.',
        );
    }

    /** @param  list<string>  $boxes */
    public static function wipeDue(array $boxes): Finding
    {
        return Finding::note(
            'move.wipe_due',
            'The card of '.self::few($boxes).' may be wiped.',
            'The day until which it was kept has come; it holds keys, passwords and files.',
            'Wipe it, and say so on the page of the box.',
        );
    }

    /** @param  list<string>  $all */
    private static function few(array $all): string
    {
        $more = count($all) - 5;

        return implode('; ', array_slice($all, 0, 5)).($more > 0 ? " and {$more} more" : '');
    }

    private function __construct()
    {
    }
}
