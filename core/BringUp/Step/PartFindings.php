<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What a box shows after it got another part: whether its supply holds, and how warm it is. */
final class PartFindings
{
    public static function supplySags(string $field, bool $now): Finding
    {
        return Finding::warn(
            'bringup.supply_sags',
            $now ? 'It has too little voltage now.' : 'It had too little voltage since it started.',
            'The board says so itself; cards and disks get damaged by it.',
            'Try the other cable first, then a supply of the board’s class. Start it anew before you look again.',
            Place::field($field),
        );
    }

    public static function supplyNotTold(string $field): Finding
    {
        return Finding::warn(
            'bringup.supply_not_told',
            'This board does not tell whether its voltage holds.',
            'What it printed holds no flags of its supply.',
            'Measure at its plug while it works, and type the volts; or pass this step over and say why.',
            Place::field($field),
        );
    }

    public static function notVolts(string $typed, string $field): Finding
    {
        return Finding::stop(
            'bringup.not_volts',
            "“{$typed}” is no voltage.",
            'It is a number from 1 to 60, like 5.04.',
            'Type what the meter shows, or leave it empty where the board tells.',
            Place::field($field),
        );
    }

    public static function voltsLow(float $volts, float $least, string $field): Finding
    {
        return Finding::warn(
            'bringup.volts_low',
            "{$volts} V is below what this board wants: {$least} V.",
            'It complains from there on, and slows down or starts anew.',
            'Try the other cable first, then a supply of the board’s class.',
            Place::field($field),
        );
    }

    public static function supplyHolds(): Finding
    {
        return Finding::fine('bringup.supply_holds', 'Its voltage held since it started.');
    }

    public static function noWarmth(string $field): Finding
    {
        return Finding::stop(
            'bringup.no_warmth',
            'No temperature stands in it.',
            'It is a number of five digits (thousandths of a degree), or degrees, like 48.3.',
            'Paste what the command printed; where it prints nothing, type what its page shows.',
            Place::field($field),
        );
    }

    public static function tooWarm(string $celsius, string $slows, string $field): Finding
    {
        return Finding::warn(
            'bringup.too_warm',
            "{$celsius} °C: it slows itself down at about {$slows} °C.",
            'Air does not get away from it, or a sink does not touch.',
            'Open the case and measure again; press the sink on, or turn the fan round.',
            Place::field($field),
        );
    }

    public static function warmer(string $before, string $now): Finding
    {
        return Finding::note(
            'bringup.warmer',
            "{$now} °C, and {$before} °C before.",
            'Work and room count as much as the case.',
            'Measure once more on a warm day.',
        );
    }
}
