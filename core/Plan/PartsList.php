<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\LinkKind;
use Burrow\Quantity\Money;
use Burrow\Role\Peripheral;

/** Everything a plan needs, with every adapter and cable that its connectors call for: what people leave out of the sum. */
final readonly class PartsList
{
    /** Common practice: small parts cost less than ten each. */
    private const NETWORK_CABLE = 4.0;

    private const SOCKET_ADAPTER = 4.0;

    private const VIDEO_ADAPTER = 5.0;

    private const POWERED_HUB = 18.0;

    /** @param  non-empty-list<Part>  $parts */
    private function __construct(public array $parts)
    {
    }

    public static function of(PlanInput $plan): self
    {
        $board = $plan->board;
        $parts = [
            new Part("{$board->label}, {$board->summary}", $board->price),
            new Part($plan->supply->label, $plan->supply->price),
            new Part($plan->cable->label, $plan->cable->price),
        ];
        if (in_array('card', $board->bootsFrom, true)) {
            $parts[] = new Part($plan->card->label, $plan->card->price, 'the board starts from it');
        }
        if ($plan->drive !== null) {
            $parts[] = new Part($plan->drive->label, $plan->drive->price);
        }
        if ($board->powerInlet !== 'barrel' && $plan->case->price->cents > 0) {
            $parts[] = new Part($plan->case->label, $plan->case->price);
        }
        if ($plan->link === LinkKind::Wired) {
            $parts[] = new Part('Network cable', Money::of(self::NETWORK_CABLE), 'the part most often forgotten');
        }

        return new self([...$parts, ...self::adapters($plan)]);
    }

    public function total(): Money
    {
        return array_reduce($this->parts, fn (Money $sum, Part $part): Money => $sum->plus($part->price), Money::of(0));
    }

    /**
     * What is left to pay when some of it lies in the drawer already.
     *
     * @param  list<string>  $drawer  labels of parts
     */
    public function toBuy(array $drawer): Money
    {
        return array_reduce(array_filter($this->parts, fn (Part $part): bool => ! in_array($part->label, $drawer, true)), fn (Money $sum, Part $part): Money => $sum->plus($part->price), Money::of(0));
    }

    /** @return list<Part> */
    private static function adapters(PlanInput $plan): array
    {
        $board = $plan->board;
        $plugs = array_values(array_filter($plan->peripherals(), fn (Peripheral $one): bool => $one->plug === 'USB-A'));
        $usb = count($plugs) + ($plan->drive === null ? 0 : 1);
        $parts = [];
        if ($usb > 0 && $board->usbSocket !== 'USB-A') {
            $parts[] = new Part("Adapter from {$board->usbSocket} to a USB-A socket", Money::of(self::SOCKET_ADAPTER), 'the board has no full-size USB socket');
        }
        if ($usb > 1 && $board->usbSocket !== 'USB-A') {
            $parts[] = new Part('Powered USB hub', Money::of(self::POWERED_HUB), "one socket for {$usb} devices");
        }
        if (in_array($board->videoSocket, ['mini', 'micro'], true)) {
            $parts[] = new Part("Adapter from {$board->videoSocket} to full video", Money::of(self::VIDEO_ADAPTER), 'for a screen when the first start gives trouble');
        }

        return $parts;
    }
}
