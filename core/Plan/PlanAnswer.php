<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Money;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Severity;
use Burrow\Sheet\Working;
use JsonSerializable;

/** What the planner says of a plan: the conclusion first, then findings, then the workings. */
final readonly class PlanAnswer implements JsonSerializable
{
    private function __construct(
        public PlanInput $plan,
        public Findings $findings,
        public MemoryFit $memory,
        public ?CopyRate $copy,
        public PartsList $parts,
    ) {
    }

    public static function to(PlanInput $plan): self
    {
        return new self($plan, self::findings($plan)->gravestFirst(), MemoryFit::of($plan), CopyRate::of($plan), PartsList::of($plan));
    }

    /** Every judgement of a plan: what it is for, then what it is made of, then the money. */
    public static function findings(PlanInput $plan): Findings
    {
        return Usage::findings($plan)
            ->and(self::findingsOfParts($plan))
            ->and(Company::findings($plan))
            ->and((new FirstCopy($plan))->applies() ? [(new FirstCopy($plan))->finding()] : [])
            ->and(array_filter([PayBack::of($plan)?->finding()]));
    }

    /** Those that another part could change. */
    public static function findingsOfParts(PlanInput $plan): Findings
    {
        return ProcessorFit::of($plan)->findings()
            ->and(MemoryFit::of($plan)->findings())
            ->and(SupplyFit::of($plan)->findings())
            ->and([Heat::of($plan)->finding(), ...(in_array('card', $plan->board->bootsFrom, true) ? [SpaceFit::of($plan)->finding(), CardWear::of($plan)->finding()] : [])])
            ->and(self::links($plan, CopyRate::of($plan)));
    }

    /** Nothing stops it; warnings may stand. */
    public function fits(): bool
    {
        return ! $this->findings->blocks();
    }

    /** "Fits, with 83 % memory to spare; the network is the limit at 117.7 MB/s." */
    public function sentence(): string
    {
        $lead = match ($this->findings->worst()) {
            Severity::Stop => 'Does not fit: '.lcfirst($this->findings->list[0]->found),
            Severity::Warn => 'Fits with a warning, '.round($this->memory->spare() * 100).' % memory to spare',
            default => 'Fits, with '.round($this->memory->spare() * 100).' % memory to spare',
        };

        return rtrim($lead, '.').($this->copy === null ? '.' : "; the {$this->copy->limit()->name} is the limit at {$this->copy->rate()}.");
    }

    public function price(): Money
    {
        return $this->parts->total();
    }

    /** @return list<Working> */
    public function workings(): array
    {
        $plan = $this->plan;

        return array_values(array_filter([
            $this->memory->working(),
            ProcessorFit::of($plan)->working(),
            $plan->supply->poeWatts === null ? SupplyFit::of($plan)->working() : null,
            $this->copy?->working(),
            $this->copy === null ? null : (new CopyTime($this->copy, $plan->circumstances->copy))->working(),
            Heat::of($plan)->applies() ? Heat::of($plan)->working() : null,
            SpaceFit::of($plan)->working(),
            CardWear::of($plan)->working(),
            RunningCost::of($plan)->working(),
            (new HoldUp($plan))->applies() ? (new HoldUp($plan))->working() : null,
            (new FirstCopy($plan))->applies() ? (new FirstCopy($plan))->working() : null,
            (new ImageTime($plan))->working(),
            PayBack::of($plan)?->working(),
        ]));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'sentence' => $this->sentence(),
            'fits' => $this->fits(),
            'findings' => $this->findings,
            'workings' => $this->workings(),
            'parts' => array_map(fn (Part $part): array => ['part' => $part->label, 'price' => (string) $part->price, 'because' => $part->because], $this->parts->parts),
            'price' => (string) $this->price(),
        ];
    }

    private static function links(PlanInput $plan, ?CopyRate $copy): Findings
    {
        $findings = Findings::of();
        if ($plan->board->megabits($plan->link) === null) {
            $findings = $findings->and([Finding::stop('plan.no_such_link', "The {$plan->board->label} has no {$plan->link->label()} of its own.", 'An adapter would hang on the disk\'s bus and halve it.', 'Choose the other link or another board.')]);
        } elseif ($plan->link->value === 'wireless') {
            $findings = $findings->and([Finding::note('plan.wired_before_wireless', 'Wired is the better choice for anything always on.', 'Wi-Fi works, and is slower and drops out at times (common practice).', 'Use a cable if one can reach.')]);
        }
        if ($plan->needsDisk() && $plan->drive === null) {
            $findings = $findings->and([Finding::stop('plan.no_disk', 'A job needs a disk and the plan has none.', 'Files on the card wear it out and go when it goes.', 'Choose a disk.')]);
        }
        if ($copy !== null && $plan->needsDisk() && $copy->rate()->inMegabytes() < 5) {
            $findings = $findings->and([Finding::note('plan.copy_slow', "Copies run at {$copy->rate()}.", 'Fine for archive and backup, useless for editing video (common practice).', "Without the {$copy->limit()->name} as the limit it would be {$copy->next()->rate}.")]);
        }

        return $findings;
    }
}
