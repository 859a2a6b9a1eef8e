<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Plan\StartFrom;

/** Something to start from, and room for what is to be copied. */
final readonly class StorageFit implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function judge(): Findings
    {
        $plan = $this->plan;
        $findings = [];
        $board = $plan->board;
        if ($plan->startsFromDrive() && $plan->drive === null) {
            $findings[] = StorageFindings::nothingToStartFrom($board);
        }
        if ($plan->startFrom === StartFrom::Drive && $board->startsFromCard()) {
            $findings[] = match ($board->startsFromDrive()) {
                null => StorageFindings::noStartFromDrive($board),
                default => StorageFindings::bootOrder($board),
            };
        }
        $amount = $plan->startsFromDrive()
            ? $plan->circumstances->copy->plus(SpaceFit::of($plan)->needed())
            : $plan->circumstances->copy;
        if ($plan->needsDisk() && $plan->drive !== null && $amount->isMoreThan($plan->drive->capacity)) {
            $findings[] = StorageFindings::diskTooSmall($amount, $plan->drive);
        }

        return Findings::of(...$findings);
    }
}
