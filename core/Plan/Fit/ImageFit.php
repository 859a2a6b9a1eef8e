<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/**
 * Whether the image starts the board, suits a box without a screen, knows what is plugged in, and goes with the
 * schools.
 */
final readonly class ImageFit implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    /**
     * The same plan with one image after the other.
     *
     * @param  array<array-key, ImageKind>  $images
     * @return list<self>
     */
    public static function each(PlanInput $plan, array $images): array
    {
        return array_values(array_map(fn (ImageKind $image): self => new self($plan->with(image: $image)), $images));
    }

    public function image(): ImageKind
    {
        return $this->plan->image;
    }

    public function findings(): Findings
    {
        return Findings::of(
            ...$this->stops(),
            ...$this->origin(),
            ...$this->desktop(),
            ...$this->bits(),
            ...$this->schools(),
            ...$this->support(),
            ...$this->unknownPeripherals(),
        );
    }

    /**
     * Why the image does not start the board, whatever the job.
     *
     * @return list<Finding>
     */
    public function stops(): array
    {
        $board = $this->plan->board;
        $image = $this->plan->image;
        $findings = [];
        if ($image->kernelBits > $board->processor->bits) {
            $findings[] = Finding::stop(
                'plan.image_bits',
                "A {$image->kernelBits}-bit image does not start the {$board->label}.",
                "Its processor has {$board->processor->bits} bits.",
                "Take the {$board->processor->bits}-bit image.",
            );
        }
        if ($image->year < $board->year) {
            $findings[] = Finding::stop(
                'plan.image_too_old',
                "An image of {$image->year} does not start a board of {$board->year}.",
                'It does not know the board\'s parts; the other way round works.',
                'Take a newer image.',
            );
        }
        if ($image->wizard && array_filter($this->plan->jobs, fn (Job $job): bool => $job->screen) === []) {
            $findings[] = Finding::stop(
                'plan.image_wizard',
                "{$image->label}: it waits for answers on a screen.",
                'A box without screen and keyboard never gets past its first start.',
                'Take an image that reads its settings from the card.',
            );
        }

        return $findings;
    }

    /** @return list<string> what is plugged in, each kind once */
    public function plugged(): array
    {
        return array_values(
            array_unique(array_map(fn (Peripheral $one): string => $one->what, $this->plan->peripherals())),
        );
    }

    /** @return list<string> what is plugged in and not known to the image */
    public function unknown(): array
    {
        return array_values(array_intersect($this->plugged(), $this->plan->image->without));
    }

    /** @return list<Finding> */
    private function origin(): array
    {
        return match ($this->plan->imageFrom) {
            ImageOrigin::Author => [],
            ImageOrigin::Vouched => [
                Finding::note(
                    'plan.image_vouched',
                    'The image was packed by somebody its author vouches for.',
                    'Its checksum comes from the packager, so both are trusted.',
                    'Compare the checksum with the one on the author\'s own page if there is one.',
                ),
            ],
            ImageOrigin::Stranger => [
                Finding::stop(
                    'plan.image_from_stranger',
                    'The image was re-packed by somebody unknown.',
                    'It can carry a miner or a back door, and a checksum from the same place proves nothing.',
                    'Take the image from its author, or from a packager whom the author names.',
                ),
            ],
        };
    }

    /** @return list<Finding> */
    private function desktop(): array
    {
        return $this->plan->image->desktop &&
            array_filter($this->plan->jobs, fn (Job $job): bool => $job->screen) === []
            ? [
                Finding::note(
                    'plan.plain_before_desktop',
                    'No job here has a screen, and the image brings a desktop.',
                    'A plain server image is written faster and leaves several hundred MB of memory free (common practice).',
                    'Take the plain image; a light desktop can be put on it later.',
                ),
            ]
            : [];
    }

    /** @return list<Finding> */
    private function bits(): array
    {
        $board = $this->plan->board;
        $image = $this->plan->image;
        $findings = match (true) {
            $image->bits < $image->kernelBits => [
                Finding::note(
                    'plan.image_mixed_bits',
                    'A 64-bit kernel under 32-bit programs.',
                    'It tells programs that it has 64 bits, and containers then fetch the kind that does not run.',
                    'Take the plain 64-bit image where it runs.',
                ),
            ],
            $image->bits < $board->processor->bits => [
                Finding::note(
                    'plan.image_32_on_64',
                    'A 32-bit image on a 64-bit board.',
                    'Some take it for a light job; containers and newer programs want 64 bits.',
                    'Take 64 bits where it runs.',
                ),
            ],
            default => [],
        };
        foreach ($this->plan->jobs as $job) {
            $school = $this->plan->school($job);
            $has = min($board->processor->bits, $image->bits);
            if ($job->bits > $has) {
                $findings[] = Finding::stop(
                    'plan.needs_64_bit',
                    ucfirst($job->label).' needs 64 bits.',
                    'Its programs are made for nothing else any more.',
                    'Take a 64-bit board and a 64-bit image.',
                );
            } elseif ($school->bits > $has) {
                $findings[] = Finding::warn(
                    'plan.school_64_bit',
                    ucfirst($job->label).", {$school->label}: made for 64 bits.",
                    'The 32-bit kind is no longer made for most of them, or months behind.',
                    'Another school, or a 64-bit image.',
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function schools(): array
    {
        $image = $this->plan->image;
        $ready = array_filter($this->plan->jobs, fn (Job $job): bool => $this->plan->school($job)->isReadyMade());

        return match (true) {
            $image->readyMade && $ready === [] => [
                Finding::stop(
                    'plan.image_brings_a_job',
                    "{$image->label}: it brings a job along that this plan does not take.",
                    'What else is installed on it may be undone by its own updates.',
                    'A plain image, or the ready-made school.',
                ),
            ],
            ! $image->readyMade && $ready !== [] => [
                Finding::stop(
                    'plan.school_wants_image',
                    'The ready-made school comes as an image of its own.',
                    "{$image->label} has nothing of it.",
                    'Take a ready-made image, or another school.',
                ),
            ],
            array_filter($ready, fn (Job $job): bool => ! $image->carries($job)) !== [] => [
                Finding::stop(
                    'plan.image_of_another_job',
                    "{$image->label}: it is made for another job.",
                    'Nothing of this job is on it.',
                    'Take the ready-made image of the job, or another school.',
                ),
            ],
            $image->readyMade && count($this->plan->jobs) > 1 => [
                Finding::warn(
                    'plan.appliance_shared',
                    'A second job on a ready-made image.',
                    'Its updates come as a whole and may undo what was added.',
                    'A plain image with both jobs on it, or two boxes.',
                ),
            ],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function support(): array
    {
        return $this->plan->image->getsUpdates
            ? []
            : [
                Finding::warn(
                    'plan.image_without_updates',
                    "{$this->plan->image->label}: its release gets no updates any more.",
                    'Holes that become known stay open, and packages can no longer be fetched from where they were.',
                    'Take a newer image; an old board often starts a 32-bit one.',
                ),
            ];
    }

    /** @return list<Finding> */
    private function unknownPeripherals(): array
    {
        return array_map(
            fn (string $what): Finding => Finding::warn(
                'plan.peripheral_unknown',
                "{$this->plan->image->label} does not know the {$what}.",
                'The newest image is not always the richest: support comes late, or has ended.',
                'Another image, or another '.$what.'.',
            ),
            $this->unknown(),
        );
    }

    public function judge(): Findings
    {
        return $this->findings();
    }
}
