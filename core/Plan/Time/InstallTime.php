<?php

declare(strict_types=1);

namespace Burrow\Plan\Time;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanFindings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Duration;

/** Hands-on and waiting time of installing all jobs by their schools on this board. */
final readonly class InstallTime implements PlannerPart
{
    use SilentPart;

    /** The catalogue's building times are those of a quad-core board of this relative speed: common practice. */
    private const BUILT_AT_SPEED = 8.0;

    private const LONG_HOURS = 2;

    /** Seconds of the steps that every job's playbook has, as they add up there. */
    private const SHARED_HANDS = 17.0 * 60;

    private const SHARED_WAITING = 15.5 * 60;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function hands(): Duration
    {
        return $this->together(
            array_map(fn (Job $job): Duration => $this->plan->school($job)->hands, $this->plan->jobs),
            self::SHARED_HANDS,
        );
    }

    public function waiting(): Duration
    {
        return $this->together(array_map($this->waitingFor(...), $this->plan->jobs), self::SHARED_WAITING);
    }

    /**
     * What each job takes alone holds the steps from the card to the first restart; together they are taken once.
     *
     * @param  list<Duration>  $alone
     */
    private function together(array $alone, float $shared): Duration
    {
        $seconds = array_map(fn (Duration $one): float => $one->seconds, $alone);

        return Duration::seconds(
            $seconds === []
                ? 0.0
                : max(max($seconds), array_sum($seconds) - (count($seconds) - 1) * $shared),
        );
    }

    /** Building goes with the board's speed; downloads and questions do not. */
    public function waitingFor(Job $job): Duration
    {
        $school = $this->plan->school($job);

        return $school->isBuiltOnTheBox()
            ? Duration::seconds(($school->waiting->seconds * self::BUILT_AT_SPEED) / $this->plan->board->speed)
            : $school->waiting;
    }

    public function finding(): Finding
    {
        foreach ($this->plan->jobs as $job) {
            if (
                $this->plan->school($job)->isBuiltOnTheBox() &&
                $this->waitingFor($job)->seconds > self::LONG_HOURS * 3600
            ) {
                return PlanFindings::buildLong($job, $this->plan, $this->waitingFor($job));
            }
        }

        return PlanFindings::installTime($this->hands(), $this->waiting());
    }

    public function working(): Working
    {
        return Working::of(
            'plan.install_time',
            'Installing the jobs',
            "{$this->hands()} hands, {$this->waiting()} waiting",
            Source::catalogue('schools')->and(Source::commonPractice()),
            ...array_map(
                fn (Job $job): Line => Line::computed(
                    $job->label,
                    $this->plan->school($job)->label.
                        ($this->plan->school($job)->isBuiltOnTheBox()
                            ? ', '.
                                $this->plan->school($job)->waiting.
                                ' × '.
                                self::BUILT_AT_SPEED.
                                ' ÷ '.
                                $this->plan->board->speed
                            : ''),
                    "{$this->plan->school($job)->hands} + {$this->waitingFor($job)}",
                ),
                $this->plan->jobs,
            ),
            ...count($this->plan->jobs) < 2
                ? []
                : [
                    Line::computed(
                        'steps that they share',
                        'taken once: −'.
                            Duration::seconds(self::SHARED_HANDS).
                            ' and −'.
                            Duration::seconds(self::SHARED_WAITING).
                            ' for each further job',
                        "{$this->hands()} + {$this->waiting()}",
                    ),
                ],
        );
    }

    public function judge(): Findings
    {
        return Findings::of($this->finding());
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'install_hands_s' => round($this->hands()->seconds, 1),
            'install_wait_s' => round($this->waiting()->seconds, 1),
        ];
    }

    public static function names(): array
    {
        return ['install_hands_s', 'install_wait_s'];
    }
}
