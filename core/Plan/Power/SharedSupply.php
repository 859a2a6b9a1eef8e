<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Amps;

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
            $findings = $findings->and([
                Finding::stop(
                    'plan.outputs_too_few',
                    "{$boxes} boxes hang on a supply with {$supply->outputs} ".
                        ($supply->outputs === 1 ? 'output.' : 'outputs.'),
                    'Splitting an output halves what each box gets.',
                    'A supply with more outputs, or one of its own.',
                ),
            ]);
        }
        foreach ($this->plan->along as $feed) {
            if (round($feed->peak->amps, 2) > $supply->current->amps) {
                $findings = $findings->and([
                    Finding::stop(
                        'plan.output_too_weak',
                        "An output gives {$supply->current}, and {$feed->name} takes {$feed->peak}.",
                        'Each output has a limit of its own, whatever the others leave over.',
                        'A stronger supply, or one of its own for that box.',
                    ),
                ]);
            }
        }
        if (round($this->together()->amps, 2) > $supply->together->amps) {
            $findings = $findings->and([
                Finding::stop(
                    'plan.supply_shared_too_weak',
                    "All boxes on it take {$this->together()} at their peaks; the supply gives {$supply->together} together.",
                    'When the power returns after a cut, all of them start at once.',
                    'Fewer boxes on it, or a stronger one.',
                ),
            ]);
        }

        return $findings->and([
            Finding::note(
                'plan.supply_fails_together',
                "One supply for {$boxes} boxes: with this one go {$names}.",
                'When it fails or is unplugged, all of them are off.',
                'Keep a spare, and not both name filters on it.',
            ),
        ]);
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
                    $this->plan->supply->outputs === 1 ? '1 output' : "{$this->plan->supply->outputs} outputs",
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
