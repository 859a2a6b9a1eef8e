<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;

/** Every judgement of rates and times of copies, each with its one text; docs/formulas/plan.md lists their sources. */
final class SpeedFindings
{
    public static function catchingUp(Duration $daily, string $days, Duration $catching): Finding
    {
        return Finding::fine(
            'plan.catching_up',
            "A day's change takes {$daily}; after {$days} away it has caught up in {$catching}.",
        );
    }

    public static function firstCopyFits(Duration $first): Finding
    {
        return Finding::fine('plan.first_copy_fits', "The first full copy over the line takes {$first}.");
    }

    public static function firstCopyLong(Duration $first, string $narrowest): Finding
    {
        return Finding::warn(
            'plan.first_copy_long',
            "The first full copy over the line takes {$first}.",
            "{$narrowest} is the limit, and the line is full all that time.",
            'Seed it at home first, on the local network, and carry the disk.',
        );
    }

    public static function lineNeverCatchesUp(Bytes $change, string $narrowest): Finding
    {
        return Finding::stop(
            'plan.line_never_catches_up',
            "{$change->decimal()} change in a day, and the line carries less.",
            "{$narrowest} is the limit: the copy falls behind for ever.",
            'Fewer folders over the line, or a disk that is carried.',
        );
    }

    public static function measuredAbove(Rate $measured, CopyRate $copy): Finding
    {
        return Finding::note(
            'plan.measured_above',
            "{$measured} is more than was worked out ({$copy->rate()}).",
            'The first seconds go into memory, not to the disk.',
            'Let it run for a minute and read the rate that settles.',
        );
    }

    public static function measuredAsModelled(Limit $limit, Rate $measured, float $idle): Finding
    {
        return Finding::fine(
            'plan.measured_as_modelled',
            "The {$limit->name} was the limit at {$measured}; {$limit->rate} were worked out.",
            round($idle * 100).' % of the processor was idle, so it was not that.',
        );
    }

    public static function measuredBelow(Rate $measured, CopyRate $copy): Finding
    {
        return Finding::warn(
            'plan.measured_below',
            "{$measured} is less than any link of the chain explains ({$copy->rate()}).",
            'Often a cable that fell back to a slower rate, many small files, or a disk that retries.',
            'Copy one file of about 1 GB, ignore the first seconds, and change one thing at a time.',
        );
    }

    public static function measuredProcessor(
        Rate $measured,
        PlanInput $plan,
        float $idle,
        Rate $withoutProcessor,
    ): Finding {
        return Finding::note(
            'plan.measured_processor',
            "The processor was the limit at {$measured}.",
            $plan->board->processor->cores === 1
                ? 'Its one core had nothing idle.'
                : 'One core of '.
                    $plan->board->processor->cores.
                    ' was full, which still shows '.
                    round($idle * 100).
                    ' % idle.',
            "With a faster one it would be {$withoutProcessor}.",
        );
    }

    public static function measuredWithoutModel(Rate $measured): Finding
    {
        return Finding::note(
            'plan.measured_without_model',
            "{$measured} were measured.",
            'The plan names no disk or no link to hold that against.',
        );
    }

    public static function tunnelLink(float $megabits, PlanInput $plan, Rate $line): Finding
    {
        return Finding::note(
            'plan.tunnel_link',
            "Through the tunnel: {$megabits} Mb/s; the {$plan->link->label()} of the box is the limit.",
            "The line's upload would carry {$line}.",
            'A faster link, if that matters.',
        );
    }

    public static function tunnelProcessor(float $megabits, Rate $line): Finding
    {
        return Finding::note(
            'plan.tunnel_processor',
            "Through the tunnel: {$megabits} Mb/s; the processor is the limit.",
            "The line's upload would carry {$line}.",
            'A faster board, if that matters.',
        );
    }

    public static function tunnelRate(float $megabits): Finding
    {
        return Finding::fine(
            'plan.tunnel_rate',
            "Through the tunnel: {$megabits} Mb/s; the line's upload is the limit.",
        );
    }
}
