<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

use Burrow\Household\Box;
use Burrow\Household\Dependency;
use Burrow\Household\HearingState;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Household\Opening;
use Burrow\Household\Stage;

/** The boxes of the house as the cross-section draws them. */
final class Dwellings
{
    /**
     * @param  list<int>  $due  ids of boxes that are due for an update, or soon
     * @return list<Dwelling>
     */
    public static function of(Household $house, array $due): array
    {
        return array_map(
            fn (Box $box): Dwelling => new Dwelling(
                $box->name,
                $box->address === null ? 'no address yet' : (string) $box->address,
                self::note($box, in_array($box->id, $due, true)),
                match (true) {
                    ! $box->stage->stands() => ChamberState::Building,
                    $box->is(HearingState::Silent) => ChamberState::Silent,
                    $box->is(HearingState::Answers) => ChamberState::Answers,
                    default => ChamberState::Unheard,
                },
                array_map(fn (Opening $opening): string => $opening->words(), $house->openings($box)),
                array_combine(
                    array_map(fn (Dependency $one): string => $one->on, $house->dependencies($box)),
                    array_map(fn (Dependency $one): string => $one->what, $house->dependencies($box)),
                ),
                $box->jobs[0]->job->short ?? '',
                fedBy: $box->fedBy,
                network: $box->network,
            ),
            $house->boxes(),
        );
    }

    private static function note(Box $box, bool $due): string
    {
        $jobs = implode(', ', array_map(fn (HeldJob $held): string => $held->job->short, $box->jobs));

        return match (true) {
            ! $box->stage->stands() => $jobs.' · new',
            ! $box->is(HearingState::Answers) => $box->hearing->words(),
            $box->stage === Stage::Unfinished => $jobs.' · not finished',
            $due => $jobs.' · due',
            default => $jobs,
        };
    }
}
