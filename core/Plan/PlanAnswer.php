<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Judgement\Working;
use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\Money\Part;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Money;
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
        return new self(
            $plan,
            self::findings($plan)->gravestFirst(),
            MemoryFit::of($plan),
            CopyRate::of($plan),
            PartsList::of($plan),
        );
    }

    /** Every judgement of a plan: what it is for, then what it is made of, then the money. */
    public static function findings(PlanInput $plan): Findings
    {
        $findings = [];
        foreach (PlannerParts::all() as $part) {
            $findings = [...$findings, ...$part::of($plan)?->judge() ?? []];
        }

        return Findings::of(...$findings);
    }

    /**
     * Those that another part could change, one by one: whoever only asks whether all is well can stop at the first
     * that is not.
     *
     * @return iterable<Finding>
     */
    public static function eachOfParts(PlanInput $plan): iterable
    {
        foreach (PlannerParts::OF_PARTS as $part) {
            yield from $part::of($plan)?->judge() ?? [];
        }
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

        return rtrim($lead, '.').
            ($this->copy === null || ! $this->plan->needsDisk()
                ? '.'
                : "; the {$this->copy->limit()->name} is the limit at {$this->copy->rate()}.");
    }

    public function price(): Money
    {
        return $this->parts->total();
    }

    /** @return list<Working> */
    public function workings(): array
    {
        $workings = [];
        foreach (PlannerParts::all() as $part) {
            $workings = [...$workings, ...$part::of($this->plan)?->workings() ?? []];
        }

        return $workings;
    }

    /**
     * Every number of the sheet by a stable name that ends in its unit; null where the plan has no such number.
     *
     * @return array<string, float|int|string|null>
     */
    public function figures(): array
    {
        $figures = [];
        foreach (PlannerParts::all() as $part) {
            $figures += array_fill_keys($part::names(), null);
            $figures = [...$figures, ...$part::of($this->plan)?->figures() ?? []];
        }

        return [...$figures, 'parts_price' => $this->price()->cents / 100];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'sentence' => $this->sentence(),
            'fits' => $this->fits(),
            'figures' => $this->figures(),
            'findings' => $this->findings,
            'workings' => $this->workings(),
            'parts' => array_map(
                fn (Part $part): array => [
                    'part' => $part->label,
                    'price' => $part->price->cents / 100,
                    'because' => $part->because,
                ],
                $this->parts->parts,
            ),
            'price' => $this->price()->cents / 100,
        ];
    }
}
