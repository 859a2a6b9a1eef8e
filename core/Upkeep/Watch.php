<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Boxes that do not answer, that nobody asked lately, and what hangs on a single one of them. */
final readonly class Watch implements Concern
{
    public function findings(Household $house): Findings
    {
        $boxes = $house->standing();
        $silent = array_filter($boxes, fn (Box $box): bool => $box->is(HearingState::Silent));
        // Who lies outside of the network cannot be asked, and that is said where addresses are.
        $forgotten = array_values(
            array_filter($boxes, fn (Box $box): bool => $box->is(HearingState::NotAsked) && $box->covered),
        );

        return Findings::of(...array_map(UpkeepFindings::silent(...), array_values($silent)))
            ->and($forgotten === [] ? [] : [UpkeepFindings::notAsked($forgotten)])
            ->and(array_map(UpkeepFindings::noStandIn(...), $this->alone($boxes)));
    }

    /**
     * @param  list<Box>  $boxes
     * @return list<Box> each the only one of several that serves all others with something
     */
    private function alone(array $boxes): array
    {
        $serving = array_count_values(array_map(fn (Box $box): string => $box->servesAll(), $boxes));

        return count($boxes) < 2
            ? []
            : array_values(
                array_filter(
                    $boxes,
                    fn (Box $box): bool => $box->servesAll() !== '' && $serving[$box->servesAll()] === 1,
                ),
            );
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
