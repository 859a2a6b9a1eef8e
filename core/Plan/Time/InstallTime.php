<?php

declare(strict_types=1);

namespace Burrow\Plan\Time;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Duration;

/** Hands-on and waiting time of installing all jobs by their schools on this board. */
final readonly class InstallTime
{
    /** The catalogue's building times are those of a quad-core board of this relative speed: common practice. */
    private const BUILT_AT_SPEED = 8.0;

    private const LONG_HOURS = 2;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function hands(): Duration
    {
        return array_reduce(
            $this->plan->roles,
            fn (Duration $sum, Job $role): Duration => $sum->plus($this->plan->school($role)->hands),
            Duration::seconds(0),
        );
    }

    public function waiting(): Duration
    {
        return array_reduce(
            $this->plan->roles,
            fn (Duration $sum, Job $role): Duration => $sum->plus($this->waitingFor($role)),
            Duration::seconds(0),
        );
    }

    /** Building goes with the board's speed; downloads and questions do not. */
    public function waitingFor(Job $role): Duration
    {
        $school = $this->plan->school($role);

        return $school->isBuiltOnTheBox()
            ? Duration::seconds(($school->waiting->seconds * self::BUILT_AT_SPEED) / $this->plan->board->speed)
            : $school->waiting;
    }

    public function finding(): Finding
    {
        foreach ($this->plan->roles as $role) {
            if ($this->plan->school($role)->isBuiltOnTheBox() && $this->waitingFor($role)->seconds > self::LONG_HOURS * 3600) {
                return Finding::warn(
                    'plan.build_long',
                    "Building the {$role->label} on the {$this->plan->board->label} takes {$this->waitingFor($role)}.",
                    'It is built anew at each update, and a build that runs out of memory starts from nothing.',
                    'Its package, or a faster board.',
                );
            }
        }

        return Finding::fine('plan.install_time', "Installing: {$this->hands()} of hands, {$this->waiting()} of waiting.");
    }

    public function working(): Working
    {
        return Working::of(
            'plan.install_time',
            'Installing the jobs',
            "{$this->hands()} hands, {$this->waiting()} waiting",
            Source::catalogue('schools')->and(Source::commonPractice()),
            ...array_map(
                fn (Job $role): Line => Line::computed(
                    $role->label,
                    $this->plan->school($role)->label.
                        ($this->plan->school($role)->isBuiltOnTheBox()
                            ? ', '.$this->plan->school($role)->waiting.' × '.self::BUILT_AT_SPEED.' ÷ '.$this->plan->board->speed
                            : ''),
                    "{$this->plan->school($role)->hands} + {$this->waitingFor($role)}",
                ),
                $this->plan->roles,
            ),
        );
    }
}
