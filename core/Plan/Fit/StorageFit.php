<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Judgement\Finding;
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
            $findings[] = Finding::stop(
                'plan.nothing_to_start_from',
                "The {$board->label} starts from a drive, and the plan has none.",
                $board->startsFromCard() ? 'It was chosen so.' : 'It takes no card.',
                'Choose a drive; the one that is in it already counts.',
            );
        }
        if ($plan->startFrom === StartFrom::Drive && $board->startsFromCard()) {
            $findings[] = match ($board->startsFromDrive()) {
                null => Finding::stop(
                    'plan.no_start_from_drive',
                    "The {$board->label} does not start from a drive.",
                    'Its first program looks at the card only.',
                    'Let it start from the card, with the files on the drive.',
                ),
                default => Finding::note(
                    'plan.boot_order',
                    "The {$board->label} looks at its card first".
                        ($board->startsFromDrive() === 'drive'
                            ? '.'
                            : ", and starts from a {$board->startsFromDrive()}."),
                    'A throw-away card changes the order once: ten seconds, harmless to repeat.',
                    'Take that card out afterwards; a forgotten stick or card may start instead.',
                ),
            };
        }
        $amount = $plan->startsFromDrive()
            ? $plan->circumstances->copy->plus(SpaceFit::of($plan)->needed())
            : $plan->circumstances->copy;
        if ($plan->needsDisk() && $plan->drive !== null && $amount->isMoreThan($plan->drive->capacity)) {
            $findings[] = Finding::stop(
                'plan.disk_too_small',
                "{$amount->decimal()} are to go onto a disk of {$plan->drive->capacity->decimal()}.",
                'The copy ends when the disk is full.',
                'A larger disk, or less to copy.',
            );
        }

        return Findings::of(...$findings);
    }
}
