<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Plan\Power\Heat;
use Burrow\Plan\Wear\CardWear;
use Burrow\Plan\Wear\DriveWear;

/** Boxes that run too hot in this room, or whose card or drive wears out soon, by what they were planned from. */
final readonly class BoxesAsBuilt implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = $alike = [];
        foreach ($house->standing() as $box) {
            // Boxes of the same parts and jobs are judged once.
            $like = serialize([$box->parts, array_map(fn (HeldJob $held): string => $held->job->id, $box->jobs)]);
            foreach ($alike[$like] ??= self::judged($box, $house) as $finding) {
                $findings[] = $finding->about($box->name);
            }
        }

        return Findings::of(...$findings);
    }

    /** @return list<Finding> what speaks against its parts, whatever it is called */
    private static function judged(Box $box, Household $house): array
    {
        $plan = PlanOfBox::of($box->jobs, $box->parts, $house->shelf);
        if ($plan === null) {
            return [];
        }
        $judged = [
            Heat::of($plan)->finding(),
            ! $plan->startsFromDrive() ? CardWear::of($plan)->finding() : null,
            DriveWear::of($plan)?->finding(),
        ];

        return array_values(
            array_filter(
                $judged,
                fn (?Finding $one): bool => $one !== null && $one->severity->rank() >= Severity::Warn->rank(),
            ),
        );
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
