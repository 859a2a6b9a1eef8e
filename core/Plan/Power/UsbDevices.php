<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Amps;

/** Everything that hangs on the USB sockets, with its current while it starts. */
final readonly class UsbDevices
{
    /** A network adapter's own: memory. */
    private const NETWORK_AMPS = 0.3;

    /** @param  list<Feed>  $list */
    private function __construct(public array $list)
    {
    }

    public static function of(PlanInput $plan): self
    {
        $list = [];
        if ($plan->drive !== null) {
            $list[] = new Feed($plan->drive->label, $plan->drive->starting);
        }
        foreach ($plan->peripherals() as $peripheral) {
            if ($peripheral->plug === 'USB-A') {
                $list[] = new Feed($peripheral->what, $peripheral->current);
            }
        }
        if ($plan->addOn?->plug === 'USB-A') {
            $list[] = new Feed($plan->addOn->label, $plan->addOn->current);
        }
        if ($plan->link === LinkKind::UsbWired) {
            $list[] = new Feed('network adapter', Amps::of(self::NETWORK_AMPS));
        }

        return new self($list);
    }

    public function together(): Amps
    {
        return array_reduce($this->list, fn (Amps $sum, Feed $one): Amps => $sum->plus($one->peak), Amps::of(0));
    }
}
