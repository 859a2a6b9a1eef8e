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
            $findings[] = ImageFindings::imageBits($image, $board);
        }
        if ($image->year < $board->year) {
            $findings[] = ImageFindings::imageTooOld($image, $board);
        }
        if ($image->wizard && array_filter($this->plan->jobs, fn (Job $job): bool => $job->screen) === []) {
            $findings[] = ImageFindings::imageWizard($image);
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
            ImageOrigin::Vouched => [ImageFindings::imageVouched()],
            ImageOrigin::Stranger => [ImageFindings::imageFromStranger()],
        };
    }

    /** @return list<Finding> */
    private function desktop(): array
    {
        return $this->plan->image->desktop &&
            array_filter($this->plan->jobs, fn (Job $job): bool => $job->screen) === []
            ? [ImageFindings::plainBeforeDesktop()]
            : [];
    }

    /** @return list<Finding> */
    private function bits(): array
    {
        $board = $this->plan->board;
        $image = $this->plan->image;
        $findings = match (true) {
            $image->bits < $image->kernelBits => [ImageFindings::imageMixedBits()],
            $image->bits < $board->processor->bits => [ImageFindings::image32On64()],
            default => [],
        };
        foreach ($this->plan->jobs as $job) {
            $school = $this->plan->school($job);
            $has = min($board->processor->bits, $image->bits);
            if ($job->bits > $has) {
                $findings[] = FitFindings::needs64Bit($job);
            } elseif ($school->bits > $has) {
                $findings[] = ImageFindings::school64Bit($job, $school);
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
            $image->readyMade && $ready === [] => [ImageFindings::imageBringsAJob($image)],
            ! $image->readyMade && $ready !== [] => [ImageFindings::schoolWantsImage($image)],
            array_filter($ready, fn (Job $job): bool => ! $image->carries($job)) !== [] => [
                ImageFindings::imageOfAnotherJob($image),
            ],
            $image->readyMade && count($this->plan->jobs) > 1 => [ImageFindings::applianceShared()],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function support(): array
    {
        return $this->plan->image->getsUpdates ? [] : [ImageFindings::imageWithoutUpdates($this->plan)];
    }

    /** @return list<Finding> */
    private function unknownPeripherals(): array
    {
        return array_map(
            fn (string $what): Finding => FitFindings::peripheralUnknown($this->plan, $what),
            $this->unknown(),
        );
    }

    public function judge(): Findings
    {
        return $this->findings();
    }
}
