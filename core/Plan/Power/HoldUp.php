<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\Money\RunningCost;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Duration;

/** How long a battery carries the box. */
final readonly class HoldUp implements PlannerPart
{
    use SilentPart;

    /** What is left after the converter: common practice. */
    private const EFFICIENCY = 0.85;

    public function __construct(private PlanInput $plan)
    {
    }

    public function applies(): bool
    {
        return $this->plan->circumstances->batteryWattHours > 0;
    }

    public function time(): Duration
    {
        return Duration::seconds(
            (($this->plan->circumstances->batteryWattHours * self::EFFICIENCY) /
                RunningCost::of($this->plan)->watts()) *
                3600,
        );
    }

    public function working(): Working
    {
        $hours = $this->plan->circumstances->batteryWattHours;
        $watts = number_format(RunningCost::of($this->plan)->watts(), 1, '.', '');

        return Working::of(
            'plan.hold_up',
            'On the battery',
            (string) $this->time(),
            Source::commonPractice(),
            Line::computed('time', "{$hours} Wh × ".self::EFFICIENCY." ÷ {$watts} W", (string) $this->time()),
        );
    }

    public static function of(PlanInput $plan): ?self
    {
        return (new self($plan))->applies() ? new self($plan) : null;
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'hold_up_s' => round($this->time()->seconds, 1),
        ];
    }

    public static function names(): array
    {
        return ['hold_up_s'];
    }
}
