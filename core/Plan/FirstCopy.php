<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;
use Burrow\Role\Role;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Line;
use Burrow\Sheet\Source;
use Burrow\Sheet\Working;

/** Over the internet the home line's upload is what a first full copy waits for. */
final readonly class FirstCopy
{
    /** Share of a line's rate that arrives as payload of a tunnel or sync: common practice. */
    private const PAYLOAD = 0.9;

    private const LONG_HOURS = 12;

    public function __construct(private PlanInput $plan)
    {
    }

    /** Only jobs that send the household's files out over the line. */
    public function applies(): bool
    {
        return array_filter($this->plan->roles, fn (Role $role): bool => $role->syncs) !== [];
    }

    public function time(): Duration
    {
        return $this->rate()->timeFor($this->plan->circumstances->copy);
    }

    public function finding(): Finding
    {
        return $this->time()->seconds > self::LONG_HOURS * 3600
            ? Finding::warn('plan.first_copy_long', "The first full copy over the line takes {$this->time()}.", 'The upload at home is the limit, and the line is full all that time.', 'Seed it at home first, on the local network, and carry the disk.')
            : Finding::fine('plan.first_copy_fits', "The first full copy over the line takes {$this->time()}.");
    }

    public function working(): Working
    {
        $up = $this->plan->circumstances->upMegabits;

        return Working::of(
            'plan.first_copy',
            'First full copy over the line',
            (string) $this->time(),
            Source::commonPractice(),
            Line::computed('payload of the upload', "{$up} Mb/s ÷ 8 × ".self::PAYLOAD, (string) $this->rate()),
            Line::computed('time', "{$this->plan->circumstances->copy->decimal()} ÷ {$this->rate()}", (string) $this->time()),
        );
    }

    private function rate(): Rate
    {
        return Rate::megabitsPerSecond($this->plan->circumstances->upMegabits)->times(self::PAYLOAD);
    }
}
