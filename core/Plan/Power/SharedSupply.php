<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Amps;
use Burrow\Text\Words;

/** One supply for several boxes: a budget for each output, for all of them, and one failure that takes them all. */
final readonly class SharedSupply implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    /** Null when the supply feeds this box alone. */
    public static function of(PlanInput $plan): ?self
    {
        return $plan->along === [] ? null : new self($plan);
    }

    public function together(): Amps
    {
        return array_reduce(
            $this->plan->along,
            fn (Amps $sum, Feed $feed): Amps => $sum->plus($feed->peak),
            SupplyFit::of($this->plan)->peak(),
        );
    }

    public function findings(): Findings
    {
        $supply = $this->plan->supply;
        $boxes = count($this->plan->along) + 1;
        $names = implode(', ', array_map(fn (Feed $feed): string => $feed->name, $this->plan->along));
        $findings = Findings::of();
        if ($boxes > $supply->outputs) {
            $findings = $findings->and([PowerFindings::outputsTooFew($boxes, $supply)]);
        }
        foreach ($this->plan->along as $feed) {
            if (round($feed->peak->amps, 2) > $supply->current->amps) {
                $findings = $findings->and([PowerFindings::outputTooWeak($supply, $feed)]);
            }
        }
        if (round($this->together()->amps, 2) > $supply->together->amps) {
            $findings = $findings->and([PowerFindings::supplySharedTooWeak($this->together(), $supply)]);
        }

        return $findings->and([PowerFindings::supplyFailsTogether($boxes, $names)]);
    }

    public function working(): Working
    {
        return Working::of(
            'plan.shared_supply',
            'One supply for several boxes',
            "{$this->together()} of {$this->plan->supply->together}",
            Source::catalogue('currents'),
            Line::given('this box', (string) SupplyFit::of($this->plan)->peak(), 'at its peak'),
            ...array_map(
                fn (Feed $feed): Line => Line::given($feed->name, (string) $feed->peak, 'at its peak'),
                $this->plan->along,
            ),
            ...[
                Line::given(
                    'each output',
                    (string) $this->plan->supply->current,
                    Words::counted($this->plan->supply->outputs, 'output'),
                ),
                Line::given('all outputs together', (string) $this->plan->supply->together, 'catalogue'),
            ],
        );
    }

    public function judge(): Findings
    {
        return $this->findings();
    }

    public function workings(): array
    {
        return [$this->working()];
    }
}
