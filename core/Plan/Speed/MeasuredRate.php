<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Rate;

/** A copy rate that somebody measured, held against the chain of limits: which of them it was. */
final readonly class MeasuredRate
{
    /** The model's rates are good to this share: common practice. */
    private const TOLERANCE = 0.35;

    /** A core with less than this share idle is full. */
    private const FULL = 0.1;

    /** @param  float  $idle share of the processor that was idle, all cores together, 0 to 1 */
    public function __construct(private PlanInput $plan, private Rate $measured, private float $idle)
    {
    }

    public function finding(): Finding
    {
        $copy = CopyRate::of($this->plan);
        if ($copy === null) {
            return SpeedFindings::measuredWithoutModel($this->measured);
        }
        if ($this->coreIsFull()) {
            return SpeedFindings::measuredProcessor(
                $this->measured,
                $this->plan,
                $this->idle,
                $this->withoutProcessor($copy),
            );
        }
        $limit = $this->nearest($copy);
        if ($limit !== null) {
            return SpeedFindings::measuredAsModelled($limit, $this->measured, $this->idle);
        }

        return $this->measured->isBelow($copy->rate())
            ? SpeedFindings::measuredBelow($this->measured, $copy)
            : SpeedFindings::measuredAbove($this->measured, $copy);
    }

    /** Name of the limit that was met; null when no link of the chain explains the rate. */
    public function limitMet(): ?string
    {
        $copy = CopyRate::of($this->plan);

        return match (true) {
            $copy === null => null,
            $this->coreIsFull() => 'processor',
            default => $this->nearest($copy)?->name,
        };
    }

    /** Measured ÷ worked out, for the limit that was met. */
    public function factor(): ?float
    {
        $met = $this->limitMet();
        foreach (CopyRate::of($this->plan)->chain ?? [] as $limit) {
            if ($limit->name === $met) {
                return $this->measured->bytesPerSecond / $limit->rate->bytesPerSecond;
            }
        }

        return null;
    }

    /** Without the per-core figures, one full core of n shows as 1 − 1/n idle at the most. */
    private function coreIsFull(): bool
    {
        $cores = $this->plan->board->processor->cores;
        $limit = CopyRate::of($this->plan)?->limit()->name;

        return $this->idle < self::FULL ||
            ($cores > 1 && $limit === 'processor' && $this->idle <= 1 - 1 / $cores + 0.02);
    }

    private function nearest(CopyRate $copy): ?Limit
    {
        $ratio = $this->measured->bytesPerSecond / $copy->rate()->bytesPerSecond;

        return abs($ratio - 1) <= self::TOLERANCE ? $copy->limit() : null;
    }

    private function withoutProcessor(CopyRate $copy): Rate
    {
        $others = array_values(array_filter($copy->chain, fn (Limit $limit): bool => $limit->name !== 'processor'));

        return array_reduce(
            $others,
            fn (Rate $least, Limit $limit): Rate => $limit->rate->isBelow($least) ? $limit->rate : $least,
            $others[0]->rate ?? $copy->rate(),
        );
    }
}
