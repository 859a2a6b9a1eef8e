<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Rate;

/** How the box reaches the network, and what hangs on that: disk wanted or not, a copy that is slow. */
final readonly class LinkFit implements PlannerPart
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
        $copy = CopyRate::of($plan);
        $findings = Findings::of();
        if ($plan->megabits() === null) {
            $findings = $findings->and([
                Finding::stop(
                    'plan.no_such_link',
                    "The {$plan->board->label} has no {$plan->link->label()} of its own.",
                    'A USB adapter hangs on the disk\'s bus and shares it.',
                    'Choose another link, an adapter or another board.',
                ),
            ]);
        } elseif (! $plan->link->isCable()) {
            $findings = $findings->and([
                Finding::note(
                    'plan.wired_before_wireless',
                    'Wired is the better choice for anything always on.',
                    'Wi-Fi works, and is slower and drops out at times (common practice).',
                    'Use a cable if one can reach.',
                ),
            ]);
        }
        $wanted = array_sum(array_map(fn (Job $job): float => $job->networkMegabits, $plan->jobs));
        $brings = CopyRate::ofLink($plan);
        if ($brings !== null && $brings->isBelow(Rate::megabitsPerSecond($wanted))) {
            $findings = $findings->and([
                Finding::warn(
                    'plan.link_slow',
                    "The jobs want {$wanted} Mb/s, and the {$plan->link->label()} brings ".
                        round(($brings->bytesPerSecond * 8) / 1e6).
                        ' Mb/s.',
                    'Pictures stop, and whoever waits thinks the box is down.',
                    'A faster link or another board.',
                ),
            ]);
        }
        if ($plan->needsDisk() && $plan->drive === null) {
            $findings = $findings->and([
                Finding::stop(
                    'plan.no_disk',
                    'A job needs a disk and the plan has none.',
                    'Files on the card wear it out and go when it goes.',
                    'Choose a disk.',
                ),
            ]);
        }
        if (! $plan->needsDisk() && $plan->drive !== null && ! $plan->startsFromDrive()) {
            $findings = $findings->and([
                Finding::note(
                    'plan.disk_not_needed',
                    'No job here needs a disk of its own.',
                    "The plan has one: {$plan->drive->label}, {$plan->drive->price}.",
                    'Leave it out, unless the box is to start from it or plans are to grow.',
                ),
            ]);
        }
        if ($copy !== null && $plan->needsDisk() && $copy->rate()->inMegabytes() < 5) {
            $findings = $findings->and([
                Finding::note(
                    'plan.copy_slow',
                    "Copies run at {$copy->rate()}.",
                    'Fine for archive and backup, useless for editing video (common practice).',
                    "Without the {$copy->limit()->name} as the limit it would be {$copy->next()->rate}.",
                ),
            ]);
        }

        return $findings;
    }
}
