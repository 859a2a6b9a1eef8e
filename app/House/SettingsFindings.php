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
}
