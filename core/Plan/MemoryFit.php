<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Bytes;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Line;
use Burrow\Sheet\Source;
use Burrow\Sheet\Working;

/** Memory of the board against what the system and the job take when busy. */
final readonly class MemoryFit
{
    /** An idle server image without desktop: common practice, 98 MB of 4 GB. */
    private const SYSTEM_MEGABYTES = 98;

    /** Below this share free the file cache has no room and everything reads from the disk. */
    private const COMFORT = 0.25;

    private function __construct(
        public Bytes $has,
        public Bytes $system,
        public Bytes $job,
    ) {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan->board->memory, Bytes::mega(self::SYSTEM_MEGABYTES), $plan->role->memoryBusy);
    }

    public function needed(): Bytes
    {
        return $this->system->plus($this->job);
    }

    /** Share of the board's memory that stays free, negative when it does not fit. */
    public function spare(): float
    {
        return ($this->has->count - $this->needed()->count) / $this->has->count;
    }

    public function finding(): Finding
    {
        $spare = round($this->spare() * 100);

        return match (true) {
            $this->spare() < 0 => Finding::stop('plan.memory_short', 'The memory does not hold the job.', "It needs {$this->needed()->binary()} and the board has {$this->has->binary()}.", 'Choose a board with more memory.'),
            $this->spare() < self::COMFORT => Finding::warn('plan.memory_tight', "Only {$spare} % of the memory stays free.", 'It runs slowly: files are read from the disk again each time.', 'Choose a board with more memory, or keep this box to one job.'),
            default => Finding::fine('plan.memory_fits', "Memory: {$spare} % to spare when busy."),
        };
    }

    public function working(): Working
    {
        return Working::of(
            'plan.memory',
            'Memory in use when busy',
            round($this->spare() * 100).' % free',
            Source::commonPractice()->and(Source::catalogue('job and board')),
            Line::given('system, no desktop', $this->system->binary(), 'common practice'),
            Line::given('the job when busy', $this->job->binary(), 'catalogue'),
            Line::given('board', $this->has->binary(), 'catalogue'),
            Line::computed('free', "({$this->has->binary()} − {$this->system->binary()} − {$this->job->binary()}) ÷ {$this->has->binary()}", round($this->spare() * 100).' %'),
        );
    }
}
