<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\Processor;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Rate;

/** What a tunnel from outside brings: the home line's upload, or what the processor encrypts. */
final readonly class TunnelRate implements PlannerPart
{
    use SilentPart;

    /** Share of the line that arrives as payload of a tunnel: common practice. */
    private const PAYLOAD = 0.9;

    private function __construct(private PlanInput $plan)
    {
    }

    /** Null when no job is reached from outside. */
    public static function of(PlanInput $plan): ?self
    {
        return array_filter($plan->jobs, fn (Job $job): bool => $job->facesWorld) === [] ? null : new self($plan);
    }

    /** Every byte passes the network twice, and encrypting it costs about half of serving it: memory. */
    public static function ofProcessor(Processor $processor): Rate
    {
        return Rate::megabytesPerSecond(1000 / self::cost($processor));
    }

    public function rate(): Rate
    {
        $slowest = $this->processorLimits() ? self::ofProcessor($this->plan->board->processor) : $this->line();
        $link = CopyRate::ofLink($this->plan);

        return $link !== null && $link->isBelow($slowest) ? $link : $slowest;
    }

    private function linkLimits(): bool
    {
        $link = CopyRate::ofLink($this->plan);

        return $link !== null &&
            $link->isBelow($this->line()) &&
            $link->isBelow(self::ofProcessor($this->plan->board->processor));
    }

    public function finding(): Finding
    {
        $megabits = round(($this->rate()->bytesPerSecond * 8) / 1e6, 1);

        if ($this->linkLimits()) {
            return SpeedFindings::tunnelLink($megabits, $this->plan, $this->line());
        }

        return $this->processorLimits()
            ? SpeedFindings::tunnelProcessor($megabits, $this->line())
            : SpeedFindings::tunnelRate($megabits);
    }

    public function working(): Working
    {
        $processor = $this->plan->board->processor;

        return Working::of(
            'plan.tunnel_rate',
            'Rate through the tunnel',
            (string) $this->rate(),
            Source::catalogue('processor cost')->and(Source::commonPractice()),
            Line::computed(
                'upload',
                "{$this->plan->circumstances->upMegabits} Mb/s ÷ 8 × ".self::PAYLOAD,
                (string) $this->line(),
            ),
            Line::computed(
                'processor',
                "1000 ms ÷ (2 × {$processor->networkMsPerMegabyte} + {$processor->serveMsPerMegabyte} ÷ 2) ms",
                (string) self::ofProcessor($processor),
            ),
            ...CopyRate::ofLink($this->plan) === null
                ? []
                : [
                    Line::given(
                        'link of the box',
                        (string) CopyRate::ofLink($this->plan),
                        $this->plan->link->label(),
                    ),
                ],
        );
    }

    private function processorLimits(): bool
    {
        return self::ofProcessor($this->plan->board->processor)->isBelow($this->line());
    }

    private function line(): Rate
    {
        return Rate::megabitsPerSecond($this->plan->circumstances->upMegabits)->times(self::PAYLOAD);
    }

    private static function cost(Processor $processor): float
    {
        return 2 * $processor->networkMsPerMegabyte + $processor->serveMsPerMegabyte / 2;
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
            'tunnel_rate_mbyte_s' => round($this->rate()->inMegabytes(), 3),
        ];
    }

    public static function names(): array
    {
        return ['tunnel_rate_mbyte_s'];
    }
}
