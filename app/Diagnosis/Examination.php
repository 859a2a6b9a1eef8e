<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Catalogue\Catalogue;
use App\Catalogue\KnownCauses;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Diagnosis;
use App\Models\RunStep;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Diagnosis\Circumstances;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Know\Cause;

/** A box's conversation, with what the records know of the box. */
final readonly class Examination
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    public function of(Box $box, ?Diagnosis $kept): Conversation
    {
        return Conversation::of(
            KnownCauses::ofThisHouse(),
            $this->circumstances($box),
            $kept?->observations() ?? [],
            $kept->cleared ?? [],
            $kept->skipped ?? [],
        );
    }

    /** As it stood before its last answer; null where there was none. */
    public function before(Conversation $talk): ?Conversation
    {
        return $talk->seen === []
            ? null
            : Conversation::of(
                $talk->knowledge,
                $talk->circumstances,
                array_slice($talk->seen, 0, -1),
                $talk->cleared,
                $talk->skipped,
            );
    }

    /** The step of the box's last run where one goes on after a cure; null when there is none. */
    public function wayBack(Box $box, Cause $cause): ?RunStep
    {
        $steps = $box->run?->steps()->get();
        foreach ([...Playbooks::stepsOf($cause->back), $cause->back] as $id) {
            $step = $steps?->first(
                fn (RunStep $one): bool => $one->step === $id || str_ends_with($one->step, "-{$id}"),
            );
            if ($step !== null) {
                return $step;
            }
        }

        return null;
    }

    /** What the lights of its class of board mean, in words; empty where the catalogue does not say. */
    public function lights(Box $box): string
    {
        return $this->catalogue->board($box->board)->lights ?? '';
    }

    /** What the records know of what the box has. */
    public function circumstances(Box $box): Circumstances
    {
        $jobs = array_values(
            $box->jobs->map(fn (BoxJob $held): ?Job => $this->catalogue->job($held->job))->filter()->all(),
        );

        return Circumstances::of($jobs, LinkKind::tryFrom((string) $box->link), $box->start !== 'drive');
    }
}
