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
use Burrow\Quantity\Bytes;

/** Memory of the board against what the system and the jobs take when busy. */
final readonly class MemoryFit
{
    /** Below this share free the file cache has no room and everything reads from the disk. */
    private const COMFORT = 0.25;

    /** Over the board's memory by more than this share, even swapping does not help. */
    private const BEYOND = 1.3;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function has(): Bytes
    {
        return $this->plan->board->memory;
    }

    public function needed(): Bytes
    {
        return $this->plan->image->memoryIdle->plus($this->plan->memoryOfJobs());
    }

    /** Share of the board's memory that stays free, negative when it does not fit. */
    public function spare(): float
    {
        return ($this->has()->count - $this->needed()->count) / $this->has()->count;
    }

    public function level(): Level
    {
        $share = $this->needed()->count / $this->has()->count;

        return match (true) {
            $share <= 1 - self::COMFORT => Level::RunsWell,
            $share <= 1 => Level::RunsSlowly,
            $share <= self::BEYOND => Level::Unusable,
            default => Level::DoesNotRun,
        };
    }

    public function findings(): Findings
    {
        $findings = Findings::of($this->fit());
        $image = $this->plan->image;
        if ($image->memoryLeast->isMoreThan($this->has())) {
            return $findings->and([
                Finding::stop(
                    'plan.image_memory_short',
                    "{$image->label}: it wants {$image->memoryLeast->binary()} at the very least, and the board has {$this->has()->binary()}.",
                    'It fails while starting (common practice).',
                    'Take the plain server image.',
                ),
            ]);
        }
        if ($image->memoryWanted->isMoreThan($this->has())) {
            return $findings->and([
                Finding::warn(
                    'plan.image_memory_low',
                    "{$image->label} wants {$image->memoryWanted->binary()}; the board has {$this->has()->binary()}.",
                    'It starts, stutters, and the keyboard goes dead at times (common practice).',
                    'Take the plain server image, with a light desktop on it if you need one.',
                ),
            ]);
        }

        return $findings;
    }

    public function working(): Working
    {
        $has = $this->has()->binary();
        $jobs = array_map(
            fn (Job $role): Line => Line::given(
                $role->label.', when busy',
                $this->plan->memoryOf($role)->binary(),
                $this->plan->school($role)->label,
            ),
            $this->plan->roles,
        );

        return Working::of(
            'plan.memory',
            'Memory in use when busy',
            round($this->spare() * 100).' % free',
            Source::commonPractice()->and(Source::catalogue('image, jobs and board')),
            Line::given('system', $this->plan->image->memoryIdle->binary(), $this->plan->image->label),
            ...$jobs,
            ...[
                Line::given('board', $has, 'catalogue'),
                Line::computed('free', "({$has} − {$this->needed()->binary()}) ÷ {$has}", round($this->spare() * 100).' %'),
            ],
        );
    }

    private function fit(): Finding
    {
        $spare = round($this->spare() * 100);
        $more = 'Choose a board with more memory, or fewer jobs.';

        return match ($this->level()) {
            Level::RunsWell => Finding::fine('plan.memory_fits', "Memory: {$spare} % to spare when busy."),
            Level::RunsSlowly => Finding::warn(
                'plan.memory_tight',
                "Only {$spare} % of the memory stays free.",
                'It runs slowly: files are read from the disk again each time.',
                $more,
            ),
            Level::Unusable => Finding::stop(
                'plan.memory_swaps',
                "The memory is short by {$this->shortBy()}.",
                'It starts, and then spends its time moving memory to the disk and back.',
                $more,
            ),
            Level::DoesNotRun => Finding::stop(
                'plan.memory_short',
                "The memory is short by {$this->shortBy()}.",
                "{$this->needed()->binary()} are needed and the board has {$this->has()->binary()}.",
                $more,
            ),
        };
    }

    private function shortBy(): string
    {
        return $this->needed()->less($this->has())->binary();
    }
}
