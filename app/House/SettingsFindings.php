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
}
