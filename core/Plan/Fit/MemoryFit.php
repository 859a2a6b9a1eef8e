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

/** Memory of the board against what the system and the jobs take when busy. */
final readonly class MemoryFit implements PlannerPart
{
    use SilentPart;

    /** Below this share free the file cache has no room and everything reads from the disk. */
    private const COMFORT = 0.25;

    /** A little over the board's memory only slows things down. */
    private const MARGIN = 1.05;

    /** What is in use at rest, over the board's memory by more than this share: even swapping does not help. */
    private const BEYOND = 1.3;

    /** Peaks up to so many times the memory are ridden out by swapping while at rest all fits: memory. */
    private const PEAKS = 3.0;

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

    /** In use while the jobs rest: system, each job at rest, and what its school takes on top. */
    public function neededAtRest(): Bytes
    {
        return array_reduce(
            $this->plan->jobs,
            fn (Bytes $sum, Job $job): Bytes => $sum
                ->plus($job->memoryIdle)
                ->plus($this->plan->school($job)->memory),
            $this->plan->image->memoryIdle,
        );
    }

    /**
     * Peaks that do not fit make it slow; what does not even fit at rest makes it unusable, and far more of it does
     * not start.
     */
    public function level(): Level
    {
        $busy = $this->needed()->count / $this->has()->count;
        $rest = $this->neededAtRest()->count / $this->has()->count;

        return match (true) {
            $busy <= 1 - self::COMFORT => Level::RunsWell,
            $busy <= self::MARGIN || ($rest <= self::MARGIN && $busy <= self::PEAKS) => Level::RunsSlowly,
            $rest <= self::BEYOND => Level::Unusable,
            default => Level::DoesNotRun,
        };
    }

    public function findings(): Findings
    {
        $findings = Findings::of($this->fit());
        $image = $this->plan->image;
        if ($image->memoryLeast->isMoreThan($this->has())) {
            return $findings->and([ImageFindings::imageMemoryShort($image, $this->has())]);
        }
        $half = Bytes::of(intdiv($image->memoryLeast->count + $image->memoryWanted->count, 2));
        if ($image->desktop && $half->isMoreThan($this->has())) {
            return $findings->and([ImageFindings::imageMemoryUnusable($image, $this->has())]);
        }
        if ($image->memoryWanted->isMoreThan($this->has())) {
            return $findings->and([ImageFindings::imageMemoryLow($image, $this->has())]);
        }

        return $findings;
    }

    public function working(): Working
    {
        $has = $this->has()->binary();
        $jobs = array_map(
            fn (Job $job): Line => Line::given(
                $job->label.', when busy',
                $this->plan->memoryOf($job)->binary(),
                $this->plan->school($job)->label,
            ),
            $this->plan->jobs,
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
                Line::computed(
                    'free',
                    "({$has} − {$this->needed()->binary()}) ÷ {$has}",
                    round($this->spare() * 100).' %',
                ),
            ],
        );
    }

    private function fit(): Finding
    {
        $spare = round($this->spare() * 100);
        $more = 'Choose a board with more memory, or fewer jobs.';

        return match ($this->level()) {
            Level::RunsWell => FitFindings::memoryFits($spare),
            Level::RunsSlowly => FitFindings::memoryTight($spare, $this->shortBy(), $more),
            Level::Unusable => FitFindings::memorySwaps($this->shortBy(), $more),
            Level::DoesNotRun => FitFindings::memoryShort($this->shortBy(), $this->needed(), $this->has(), $more),
        };
    }

    private function shortBy(): string
    {
        return $this->needed()->less($this->has())->binary();
    }

    public function judge(): Findings
    {
        return $this->findings();
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'memory_needed_bytes' => $this->needed()->count,
            'memory_spare_percent' => round($this->spare() * 100, 2),
            'memory_level' => $this->level()->value,
        ];
    }

    public static function names(): array
    {
        return ['memory_needed_bytes', 'memory_spare_percent', 'memory_level'];
    }
}
