<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Bytes;

/** Room on the card: the image unpacked, each job by its school of installing, and air to breathe. */
final readonly class SpaceFit
{
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

    public function finding(): Finding
    {
        $card = $this->plan->card;

        return $this->needed()->isMoreThan($card->capacity)
            ? Finding::stop(
                'plan.card_too_small',
                "The card holds {$card->capacity->decimal()}, and {$this->needed()->decimal()} are needed.",
                'A full card stops updates first and everything else after.',
                'Take a larger card.',
            )
            : Finding::fine('plan.card_holds', "Space used on the card: {$this->needed()->decimal()} of {$card->capacity->decimal()}.");
    }

    public function working(): Working
    {
        return Working::of(
            'plan.card_space',
            'Room on the card',
            "{$this->needed()->decimal()} of {$this->plan->card->capacity->decimal()}",
            Source::catalogue('image and schools')->and(Source::commonPractice()),
            Line::given('image, unpacked', $this->plan->image->unpacked->decimal(), 'catalogue'),
            ...array_map(
                fn (Job $job): Line => Line::given($job->label, $this->plan->school($job)->disk->decimal(), $this->plan->school($job)->label),
                $this->plan->jobs,
            ),
            ...[Line::given('updates and logs', Bytes::giga(self::AIR_GIGABYTES)->decimal(), 'common practice')],
        );
    }
}
