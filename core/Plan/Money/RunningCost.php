<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Money;
use Burrow\Quantity\Watts;

/** What the box costs to run around the clock for a year. */
final readonly class RunningCost implements PlannerPart
{
    use SilentPart;

    /** A household's box is busy a small part of the day: common practice. */
    private const BUSY_SHARE = 0.1;

    private const DISK_VOLTS = 5.0;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    /** Average power in watts, disk included. */
    public function watts(): float
    {
        $board = $this->plan->board;

        return $board->idle->watts * (1 - self::BUSY_SHARE) +
            $board->busy->watts * self::BUSY_SHARE +
            ($this->plan->drive->running->amps ?? 0) * self::DISK_VOLTS;
    }

    public function kilowattHours(): float
    {
        return Watts::of($this->watts())->kilowattHoursPerYear() * $this->plan->circumstances->duty->share();
    }

    public function perYear(): Money
    {
        return Money::of($this->kilowattHours() * $this->plan->circumstances->pricePerKilowattHour);
    }

    public function working(): Working
    {
        $price = $this->plan->circumstances->pricePerKilowattHour;
        $duty = $this->plan->circumstances->duty;

        return Working::of(
            'plan.running_cost',
            'Running cost a year',
            (string) $this->perYear(),
            Source::catalogue('power')->and(Source::commonPractice()),
            Line::computed(
                'average power',
                "{$this->plan->board->idle} × ".
                    (1 - self::BUSY_SHARE).
                    " + {$this->plan->board->busy} × ".
                    self::BUSY_SHARE.
                    ' + disk',
                number_format($this->watts(), 1, '.', '').' W',
            ),
            Line::computed(
                'energy',
                number_format($this->watts(), 1, '.', '')." W × 8.76 × {$duty->share()}, on {$duty->label()}",
                number_format($this->kilowattHours(), 1, '.', '').' kWh',
            ),
            Line::computed(
                'cost',
                number_format($this->kilowattHours(), 1, '.', '')." kWh × {$price}",
                (string) $this->perYear(),
            ),
        );
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'running_watts' => round($this->watts(), 3),
            'running_cost_year' => $this->perYear()->cents / 100,
        ];
    }

    public static function names(): array
    {
        return ['running_watts', 'running_cost_year'];
    }
}
