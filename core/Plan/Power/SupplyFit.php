<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Catalogue\Part\LinkKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Volts;

/** Current asked of the supply, and the voltage that is left at the board after the cable. */
final readonly class SupplyFit implements PlannerPart
{
    use SilentPart;

    /** What the inlets accept, in volts. */
    private const FIVE_VOLTS = [4.75, 5.5];

    private const BARREL = [18.0, 20.5];

    /** Lowest voltage at a device in the USB 2.0 specification, section 7.2.2. */
    private const NOTHING_STARTS = 4.4;

    private const FIVE = 5.0;

    /** What a switching converter passes on of what it takes: memory. */
    private const CONVERTER = 0.9;

    /** From the 48 V of the cable down to five: memory. */
    private const CABLE_CONVERTER = 0.85;

    /** At the device, by type (IEEE 802.3, clause 33). */
    private const AT_DEVICE = [1 => 12.95, 2 => 25.5];

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    /** Board under load while the disk starts, with what the jobs have plugged in. */
    public function peak(): Amps
    {
        return array_reduce(
            $this->shares(),
            fn (Amps $sum, Feed $share): Amps => $sum->plus($share->peak),
            Amps::of(0),
        );
    }

    /** @return non-empty-list<Feed> who takes what, all at once */
    private function shares(): array
    {
        $plan = $this->plan;
        $header = $plan->addOn?->plug === 'header' ? [new Feed($plan->addOn->label, $plan->addOn->current)] : [];
        foreach ($plan->peripherals() as $peripheral) {
            if ($peripheral->plug !== 'USB-A' && $peripheral->current->amps > 0) {
                $header[] = new Feed($peripheral->what, $peripheral->current);
            }
        }

        $fives = [
            ...$plan->cooling !== null && $plan->cooling->current->amps > 0
                ? [new Feed($plan->cooling->label, $plan->cooling->current)]
                : [],
            ...$header,
            ...$plan->hub() === null ? UsbDevices::of($plan)->list : [],
        ];

        return [
            new Feed('board, busy', $this->boardCurrent()),
            ...array_map(fn (Feed $one): Feed => new Feed($one->name, $this->throughConverter($one->peak)), $fives),
        ];
    }

    /** At the board's inlet, at the peak. */
    public function voltage(): Volts
    {
        return $this->plan->supply->voltage->less(
            Volts::across(Wire::roundTrip($this->plan->cable), $this->peak()),
        );
    }

    public function findings(): Findings
    {
        $wanted = $this->plan->board->powerInlet === 'barrel' ? self::BARREL : self::FIVE_VOLTS;
        $volts = $this->plan->supply->voltage->volts;
        if ($volts < $wanted[0] || $volts > $wanted[1]) {
            return Findings::of(PowerFindings::supplyVoltage($this->plan, $wanted));
        }
        if ($this->plan->supply->poeWatts !== null) {
            return Findings::of($this->networkPower($this->plan->supply->poeWatts))->and($this->backFeeding());
        }
        if (($this->plan->board->powerInlet === 'barrel') !== ($this->plan->cable->plug === 'barrel')) {
            return Findings::of(PowerFindings::cablePlug($this->plan));
        }
        $findings = Findings::of($this->currentFinding(), $this->voltageFinding())->and($this->backFeeding());
        $drive = $this->plan->drive;
        if ($drive !== null && $drive->spins && $drive->starting->amps > 0 && $this->plan->hub() === null) {
            $findings = $findings->and([PowerFindings::spinningOnBoard($drive)]);
        }

        return $findings;
    }

    public function working(): Working
    {
        $cable = $this->plan->cable;
        $perMetre = Wire::ohmsPerMetre($cable->gauge);
        $ohms = Wire::roundTrip($cable);

        return Working::of(
            'plan.voltage_at_board',
            'Voltage at the board',
            (string) $this->voltage(),
            Source::standard('ASTM B258, IACS; Ohm\'s law')->and(Source::catalogue('currents')),
            ...array_map(
                fn (Feed $share): Line => Line::given(
                    $share->name,
                    (string) $share->peak,
                    $share->name === 'board, busy'
                        ? "{$this->plan->board->busy} ÷ {$this->plan->supply->voltage}"
                        : 'while it starts',
                ),
                $this->shares(),
            ),
            ...[
                Line::computed(
                    'current at the peak',
                    implode(
                        ' + ',
                        array_map(
                            fn (Feed $share): string => number_format($share->peak->amps, 2, '.', ''),
                            $this->shares(),
                        ),
                    ),
                    (string) $this->peak(),
                ),
                Line::computed(
                    'wire diameter',
                    "0.127 mm × 92^((36−{$cable->gauge})/39)",
                    number_format(Wire::diameter($cable->gauge) * 1000, 3, '.', '').' mm',
                ),
                Line::computed(
                    'wire',
                    '1.724e-8 Ω·m ÷ cross-section',
                    number_format($perMetre->ohms * 1000, 1, '.', '').' mΩ/m',
                ),
                Line::computed(
                    'cable, there and back',
                    "2 × {$cable->metres} m × ".number_format($perMetre->ohms * 1000, 1, '.', '').' mΩ/m',
                    (string) $ohms,
                ),
                Line::computed(
                    'at the board',
                    "{$this->plan->supply->voltage} − {$this->peak()} × {$ohms}",
                    (string) $this->voltage(),
                ),
                Line::given('the board complains below', (string) $this->plan->board->undervoltage, 'catalogue'),
            ],
        );
    }

    /** At the device: 12.95 W of type 1, 25.5 W of type 2 (IEEE 802.3, clause 33). */
    private function networkPower(float $watts): Finding
    {
        $wanted = ($this->peak()->amps * $this->plan->supply->voltage->volts) / self::CABLE_CONVERTER;
        $board = $this->plan->board;
        $takes = self::AT_DEVICE[$this->plan->poeType() ?? 0] ?? $watts;
        $watts = min($watts, $takes);

        return match (true) {
            $this->plan->poeType() === null => PowerFindings::poeNotTaken($board),
            $this->plan->link !== LinkKind::Wired => PowerFindings::poeNeedsCable(),
            $wanted > $watts => PowerFindings::poeTooWeak($wanted, $this->plan, $watts),
            default => PowerFindings::poeFits($wanted, $watts),
        };
    }

    private function backFeeding(): Findings
    {
        $findings = Findings::of();
        foreach ($this->plan->peripherals() as $peripheral) {
            if ($peripheral->feedsBack) {
                $findings = $findings->and([PowerFindings::backFeeding($peripheral)]);
            }
        }

        return $findings;
    }

    /** What a current at five volts takes at the inlet, where a board makes its five volts from a higher voltage. */
    private function throughConverter(Amps $atFiveVolts): Amps
    {
        return $this->plan->board->powerInlet === 'barrel'
            ? Amps::of(($atFiveVolts->amps * self::FIVE) / ($this->plan->supply->voltage->volts * self::CONVERTER))
            : $atFiveVolts;
    }

    private function boardCurrent(): Amps
    {
        return $this->plan->board->busy->at($this->plan->supply->voltage);
    }

    private function currentFinding(): Finding
    {
        $supply = $this->plan->supply;
        $board = $this->plan->board;
        if ($supply->current->amps < round($this->peak()->amps, 2)) {
            return PowerFindings::supplyTooWeak($supply, $this->peak(), $board);
        }
        if ($supply->current->amps < $board->supplyAmps) {
            // A phone charger also drops its voltage long before its rated current.
            return PowerFindings::supplyBelowClass($supply, $board, $this->peak());
        }

        return PowerFindings::supplyFits($this->peak(), $supply);
    }

    private function voltageFinding(): Finding
    {
        $least = $this->plan->board->undervoltage;
        if ($this->plan->board->powerInlet !== 'barrel' && $this->voltage()->volts < self::NOTHING_STARTS) {
            return PowerFindings::voltageBreaksDown($this->voltage(), $this->lost(), $this->plan);
        }

        return $this->voltage()->volts < $least->volts
            ? PowerFindings::voltageLow($this->voltage(), $least, $this->lost(), $this->plan)
            : PowerFindings::voltageFits($this->voltage());
    }

    private function lost(): Volts
    {
        return $this->plan->supply->voltage->less($this->voltage());
    }

    public function judge(): Findings
    {
        return $this->findings();
    }

    public function workings(): array
    {
        return $this->plan->supply->poeWatts === null ? [$this->working()] : [];
    }

    public function figures(): array
    {
        return [
            'voltage_at_board_volts' => $this->plan->supply->poeWatts === null
                ? round($this->voltage()->volts, 4)
                : null,
            'peak_amps' => round($this->peak()->amps, 4),
        ];
    }

    public static function names(): array
    {
        return ['voltage_at_board_volts', 'peak_amps'];
    }
}
