<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Judgement\Working;
use Burrow\Plan\Fit\AddOnFit;
use Burrow\Plan\Fit\Availability;
use Burrow\Plan\Fit\Company;
use Burrow\Plan\Fit\DeskCheck;
use Burrow\Plan\Fit\ImageFit;
use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\Fit\ProcessorFit;
use Burrow\Plan\Fit\SpaceFit;
use Burrow\Plan\Money\Part;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\Money\PayBack;
use Burrow\Plan\Money\RunningCost;
use Burrow\Plan\Power\BusBudget;
use Burrow\Plan\Power\Heat;
use Burrow\Plan\Power\HoldUp;
use Burrow\Plan\Power\SharedSupply;
use Burrow\Plan\Power\SupplyFit;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\LineCopy;
use Burrow\Plan\Speed\TunnelRate;
use Burrow\Plan\Time\CopyTime;
use Burrow\Plan\Time\ImageTime;
use Burrow\Plan\Time\InstallTime;
use Burrow\Plan\Wear\CardWear;
use Burrow\Plan\Wear\DriveWear;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;
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
        return Usage::findings($plan)
            ->and(self::findingsOfParts($plan))
            ->and(Company::findings($plan))
            ->and((new LineCopy($plan))->applies() ? (new LineCopy($plan))->findings() : [])
            ->and(array_filter([TunnelRate::of($plan)?->finding()]))
            ->and([InstallTime::of($plan)->finding()])
            ->and(DeskCheck::findings($plan))
            ->and(array_filter([PayBack::of($plan)?->finding()]));
    }

    /** Those that another part could change. */
    public static function findingsOfParts(PlanInput $plan): Findings
    {
        return Findings::of(...iterator_to_array(self::eachOfParts($plan), false));
    }

    /**
     * The same one by one, so that whoever only asks whether all is well can stop at the first that is not.
     *
     * @return iterable<Finding>
     */
    public static function eachOfParts(PlanInput $plan): iterable
    {
        yield ProcessorFit::of($plan)->finding();
        yield from ImageFit::of($plan)->findings();
        yield from MemoryFit::of($plan)->findings();
        yield from SupplyFit::of($plan)->findings();
        $budget = BusBudget::of($plan);
        if ($budget->applies()) {
            yield $budget->finding();
        }
        yield from SharedSupply::of($plan)?->findings() ?? [];
        yield from AddOnFit::findings($plan);
        yield from Availability::findings($plan);
        yield Heat::of($plan)->finding();
        yield from array_filter([SpaceFit::of($plan)->finding()]);
        if (! $plan->startsFromDrive()) {
            yield CardWear::of($plan)->finding();
        }
        yield from self::storage($plan);
        yield from array_filter([DriveWear::of($plan)?->finding()]);
        yield from self::links($plan, CopyRate::of($plan));
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
        $plan = $this->plan;

        return array_values(
            array_filter([
                $this->memory->working(),
                ProcessorFit::of($plan)->working(),
                $plan->supply->poeWatts === null ? SupplyFit::of($plan)->working() : null,
                BusBudget::of($plan)->applies() ? BusBudget::of($plan)->working() : null,
                SharedSupply::of($plan)?->working(),
                $this->copy?->working(),
                $this->copy === null ? null : (new CopyTime($this->copy, $plan->circumstances))->working(),
                Heat::of($plan)->applies() ? Heat::of($plan)->working() : null,
                SpaceFit::of($plan)->working(),
                $plan->startsFromDrive() ? null : CardWear::of($plan)->working(),
                DriveWear::of($plan)?->working(),
                RunningCost::of($plan)->working(),
                (new HoldUp($plan))->applies() ? (new HoldUp($plan))->working() : null,
                (new LineCopy($plan))->applies() ? (new LineCopy($plan))->working() : null,
                TunnelRate::of($plan)?->working(),
                (new ImageTime($plan))->working(),
                InstallTime::of($plan)->working(),
                PayBack::of($plan)?->working(),
            ]),
        );
    }

    /**
     * Every number of the sheet by a stable name that ends in its unit; null where the plan has no such number.
     *
     * @return array<string, float|int|string|null>
     */
    public function figures(): array
    {
        $plan = $this->plan;
        $line = new LineCopy($plan);
        $pay = PayBack::of($plan);
        $hold = new HoldUp($plan);
        $tunnel = TunnelRate::of($plan);

        return [
            'voltage_at_board_volts' => $plan->supply->poeWatts === null
                ? round(SupplyFit::of($plan)->voltage()->volts, 4)
                : null,
            'peak_amps' => round(SupplyFit::of($plan)->peak()->amps, 4),
            'memory_needed_bytes' => $this->memory->needed()->count,
            'memory_spare_percent' => round($this->memory->spare() * 100, 2),
            'memory_level' => $this->memory->level()->value,
            'copy_rate_mbyte_s' => $this->copy === null ? null : round($this->copy->rate()->inMegabytes(), 3),
            'copy_limit' => $this->copy?->limit()->name,
            'copy_time_s' => $this->copy === null
                    ? null
                    : round((new CopyTime($this->copy, $plan->circumstances))->time()->seconds, 1),
            'board_celsius' => Heat::of($plan)->applies() ? round(Heat::of($plan)->celsius(), 1) : null,
            'card_needed_bytes' => $plan->startsFromDrive() ? null : SpaceFit::of($plan)->needed()->count,
            'system_needed_bytes' => SpaceFit::of($plan)->needed()->count,
            'card_years' => $plan->startsFromDrive() ? null : round(CardWear::of($plan)->years(), 2),
            'drive_years' => ($years = DriveWear::of($plan)?->years()) === null ? null : round($years, 2),
            'running_watts' => round(RunningCost::of($plan)->watts(), 3),
            'running_cost_year' => RunningCost::of($plan)->perYear()->cents / 100,
            'parts_price' => $this->price()->cents / 100,
            'pay_back_months' => $pay?->months() === null ? null : round($pay->months(), 2),
            'hold_up_s' => $hold->applies() ? round($hold->time()->seconds, 1) : null,
            'first_copy_s' => $line->applies() ? round($line->first()->seconds, 1) : null,
            'daily_copy_s' => $line->applies() ? round($line->daily()->seconds, 1) : null,
            'tunnel_rate_mbyte_s' => $tunnel === null ? null : round($tunnel->rate()->inMegabytes(), 3),
            'image_time_s' => round((new ImageTime($plan))->time()->seconds, 1),
            'install_hands_s' => round(InstallTime::of($plan)->hands()->seconds, 1),
            'install_wait_s' => round(InstallTime::of($plan)->waiting()->seconds, 1),
        ];
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

    /** Something to start from, and room for what is to be copied. */
    private static function storage(PlanInput $plan): Findings
    {
        $findings = [];
        $board = $plan->board;
        if ($plan->startsFromDrive() && $plan->drive === null) {
            $findings[] = Finding::stop(
                'plan.nothing_to_start_from',
                "The {$board->label} starts from a drive, and the plan has none.",
                $board->startsFromCard() ? 'It was chosen so.' : 'It takes no card.',
                'Choose a drive; the one that is in it already counts.',
            );
        }
        if ($plan->startFrom === StartFrom::Drive && $board->startsFromCard()) {
            $findings[] = match ($board->startsFromDrive()) {
                null => Finding::stop(
                    'plan.no_start_from_drive',
                    "The {$board->label} does not start from a drive.",
                    'Its first program looks at the card only.',
                    'Let it start from the card, with the files on the drive.',
                ),
                default => Finding::note(
                    'plan.boot_order',
                    "The {$board->label} looks at its card first".
                        ($board->startsFromDrive() === 'drive'
                            ? '.'
                            : ", and starts from a {$board->startsFromDrive()}."),
                    'A throw-away card changes the order once: ten seconds, harmless to repeat.',
                    'Take that card out afterwards; a forgotten stick or card may start instead.',
                ),
            };
        }
        $amount = $plan->startsFromDrive()
            ? $plan->circumstances->copy->plus(SpaceFit::of($plan)->needed())
            : $plan->circumstances->copy;
        if ($plan->needsDisk() && $plan->drive !== null && $amount->isMoreThan($plan->drive->capacity)) {
            $findings[] = Finding::stop(
                'plan.disk_too_small',
                "{$amount->decimal()} are to go onto a disk of {$plan->drive->capacity->decimal()}.",
                'The copy ends when the disk is full.',
                'A larger disk, or less to copy.',
            );
        }

        return Findings::of(...$findings);
    }

    private static function links(PlanInput $plan, ?CopyRate $copy): Findings
    {
        $findings = Findings::of();
        if ($plan->megabits() === null) {
            $findings = $findings->and([
                Finding::stop(
                    'plan.no_such_link',
                    "The {$plan->board->label} has no {$plan->link->label()} of its own.",
                    'A USB adapter hangs on the disk\'s bus and shares it.',
                    'Choose another link, an adapter or another board.',
                ),
            ]);
        } elseif (! $plan->link->isCable()) {
            $findings = $findings->and([
                Finding::note(
                    'plan.wired_before_wireless',
                    'Wired is the better choice for anything always on.',
                    'Wi-Fi works, and is slower and drops out at times (common practice).',
                    'Use a cable if one can reach.',
                ),
            ]);
        }
        $wanted = array_sum(array_map(fn (Job $job): float => $job->networkMegabits, $plan->jobs));
        $brings = CopyRate::ofLink($plan);
        if ($brings !== null && $brings->isBelow(Rate::megabitsPerSecond($wanted))) {
            $findings = $findings->and([
                Finding::warn(
                    'plan.link_slow',
                    "The jobs want {$wanted} Mb/s, and the {$plan->link->label()} brings ".
                        round(($brings->bytesPerSecond * 8) / 1e6).
                        ' Mb/s.',
                    'Pictures stop, and whoever waits thinks the box is down.',
                    'A faster link or another board.',
                ),
            ]);
        }
        if ($plan->needsDisk() && $plan->drive === null) {
            $findings = $findings->and([
                Finding::stop(
                    'plan.no_disk',
                    'A job needs a disk and the plan has none.',
                    'Files on the card wear it out and go when it goes.',
                    'Choose a disk.',
                ),
            ]);
        }
        if (! $plan->needsDisk() && $plan->drive !== null && ! $plan->startsFromDrive()) {
            $findings = $findings->and([
                Finding::note(
                    'plan.disk_not_needed',
                    'No job here needs a disk of its own.',
                    "The plan has one: {$plan->drive->label}, {$plan->drive->price}.",
                    'Leave it out, unless the box is to start from it or plans are to grow.',
                ),
            ]);
        }
        if ($copy !== null && $plan->needsDisk() && $copy->rate()->inMegabytes() < 5) {
            $findings = $findings->and([
                Finding::note(
                    'plan.copy_slow',
                    "Copies run at {$copy->rate()}.",
                    'Fine for archive and backup, useless for editing video (common practice).',
                    "Without the {$copy->limit()->name} as the limit it would be {$copy->next()->rate}.",
                ),
            ]);
        }

        return $findings;
    }
}
