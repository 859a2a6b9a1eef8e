<?php

declare(strict_types=1);

namespace App\House;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What speaks against a setting of the house itself. */
final class SettingsFindings
{
    public static function currency(string $typed): Finding
    {
        return Finding::stop(
            'house.currency',
            "“{$typed}” is no currency.",
            'It is three letters (ISO 4217), and stands beside prices; nothing is converted.',
            'For example EUR, GBP or USD.',
            Place::field('currency'),
        );
    }

    public static function engine(string $typed): Finding
    {
        return Finding::stop(
            'house.engine',
            '“'.mb_strimwidth($typed, 0, 40, '…').'” is no command.',
            'It is typed on boxes as it stands here.',
            'One word of small letters, digits, dots and dashes, or nothing for podman.',
            Place::field('engine'),
        );
    }

    public static function wrongPassword(): Finding
    {
        return Finding::stop(
            'house.wrong_password',
            'That is not your password.',
            'Whoever finds an open window should not be able to lock you out.',
            'Type the one that you logged in with.',
            Place::field('password_now'),
        );
    }

    public static function tooManyTries(int $seconds): Finding
    {
        return Finding::stop(
            'house.too_many_tries',
            'Too many wrong tries.',
            'Each further one makes the wait longer.',
            "Wait {$seconds} s, then try again.",
            Place::field('password_now'),
        );
    }

    public static function notTheSame(string $field): Finding
    {
        return Finding::stop(
            'house.not_the_same',
            'The two are not the same.',
            'One of them has a slip, and nobody would know which.',
            'Type the new one twice.',
            Place::field($field),
        );
    }

    public static function noRole(): Finding
    {
        return Finding::stop(
            'house.no_role',
            'That is no role.',
            'A keeper may change things, a guest may look.',
            'Choose one of the two.',
            Place::field('login_role'),
        );
    }

    public static function lastKeeper(string $name, string $field): Finding
    {
        return Finding::stop(
            'house.last_keeper',
            "{$name} is the last keeper.",
            'Nobody could change anything any more.',
            'Make another keeper first.',
            Place::field($field),
        );
    }

    public static function ownLogin(): Finding
    {
        return Finding::stop(
            'house.own_login',
            'That is your own login.',
            'You would be out before you saw whether it was right.',
            'Let another keeper take it away.',
            Place::field('login_name'),
        );
    }

    public static function tooManyLogins(int $most): Finding
    {
        return Finding::stop(
            'house.too_many_logins',
            "There are {$most} logins already.",
            'A household has a few.',
            'Take those away that nobody uses.',
            Place::field('login_name'),
        );
    }
}
