<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Bytes;

/**
 * Room on the card, or on the drive that the box starts from: the image unpacked, each job by its school of
 * installing, and air to breathe.
 */
final readonly class SpaceFit implements PlannerPart
{
    use SilentPart;

    /** Updates, logs and what fell asleep in a cache: common practice. */
    private const AIR_GIGABYTES = 2.0;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function needed(): Bytes
    {
        return array_reduce(
            $this->plan->jobs,
            fn (Bytes $sum, Job $job): Bytes => $sum->plus($this->plan->school($job)->disk),
            $this->plan->image->unpacked->plus(Bytes::giga(self::AIR_GIGABYTES)),
        );
    }

    /** What the system lives on; null when it is to live on a drive and the plan has none. */
    public function holds(): ?Bytes
    {
        return $this->plan->startsFromDrive() ? $this->plan->drive?->capacity : $this->plan->card->capacity;
    }

    public function finding(): ?Finding
    {
        $holds = $this->holds();
        if ($holds === null) {
            return null;
        }
        $tooSmall = $this->needed()->isMoreThan($holds);
        if ($this->plan->startsFromDrive()) {
            return $tooSmall
                ? StorageFindings::startDriveTooSmall($holds, $this->needed())
                : StorageFindings::startDriveHolds($this->needed(), $holds);
        }

        return $tooSmall
            ? StorageFindings::cardTooSmall($holds, $this->needed())
            : StorageFindings::cardHolds($this->needed(), $holds);
    }

    public function working(): Working
    {
        return Working::of(
            'plan.card_space',
            $this->plan->startsFromDrive() ? 'Space used on the drive' : 'Space used on the card',
            $this->needed()->decimal().(($holds = $this->holds()) === null ? '' : " of {$holds->decimal()}"),
            Source::catalogue('image and schools')->and(Source::commonPractice()),
            Line::given('image, unpacked', $this->plan->image->unpacked->decimal(), 'catalogue'),
            ...array_map(
                fn (Job $job): Line => Line::given(
                    $job->label,
                    $this->plan->school($job)->disk->decimal(),
                    $this->plan->school($job)->label,
                ),
                $this->plan->jobs,
            ),
            ...[Line::given('updates and logs', Bytes::giga(self::AIR_GIGABYTES)->decimal(), 'common practice')],
        );
    }

    public function judge(): Findings
    {
        return Findings::of(...array_filter([$this->finding()]));
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'card_needed_bytes' => $this->plan->startsFromDrive() ? null : $this->needed()->count,
            'system_needed_bytes' => $this->needed()->count,
        ];
    }

    public static function names(): array
    {
        return ['card_needed_bytes', 'system_needed_bytes'];
    }
}
