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

/** What hangs on the USB sockets against what their bus, or a powered hub, gives them together. */
final readonly class BusBudget implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan, private UsbDevices $devices)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan, UsbDevices::of($plan));
    }

    /** Nothing hangs there, or nobody knows what the sockets give. */
    public function applies(): bool
    {
        return $this->devices->list !== [] && $this->limit() !== null;
    }

    public function limit(): ?Amps
    {
        return $this->plan->hub()->current ?? $this->plan->board->usbBus()?->current;
    }

    public function finding(): Finding
    {
        $asked = $this->devices->together();
        $limit = $this->limit() ?? $asked;
        $hub = $this->plan->hub();

        $devices = count($this->devices->list);

        return match (true) {
            $hub !== null && $hub->sockets > 0 && $devices > $hub->sockets => PowerFindings::hubSockets(
                $devices,
                $hub,
            ),
            round($asked->amps, 2) <= $limit->amps => PowerFindings::busFits($hub, $asked, $limit),
            $hub !== null => PowerFindings::hubCurrent($limit, $asked),
            default => PowerFindings::busCurrent($limit, $asked),
        };
    }

    public function working(): Working
    {
        $limit = $this->limit();
        $hub = $this->plan->hub();

        return Working::of(
            'plan.bus_current',
            $hub === null ? 'Current of the USB sockets' : 'Current of the powered hub',
            "{$this->devices->together()} of {$limit}",
            Source::catalogue('currents')->and(Source::commonPractice()),
            ...array_map(
                fn (Feed $one): Line => Line::given($one->name, (string) $one->peak, 'while it starts'),
                $this->devices->list,
            ),
            ...[
                Line::given(
                    $hub->label ?? ($this->plan->board->usbBus()->name ?? 'sockets'),
                    (string) $limit,
                    'all sockets together',
                ),
            ],
        );
    }

    public function judge(): Findings
    {
        return $this->applies() ? Findings::of($this->finding()) : Findings::of();
    }

    public function workings(): array
    {
        return $this->applies() ? [$this->working()] : [];
    }
}
