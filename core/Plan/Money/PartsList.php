<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Catalogue\Part\Adapter;
use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Power\UsbDevices;
use Burrow\Quantity\Money;

/**
 * Everything a plan needs, with every adapter and cable that its connectors call for: what people leave out of the
 * sum.
 */
final readonly class PartsList
{
    /** @param  non-empty-list<Part>  $parts */
    private function __construct(public array $parts)
    {
    }

    public static function of(PlanInput $plan): self
    {
        $board = $plan->board;
        $parts = [
            new Part("board/{$board->id}", "{$board->label}, {$board->summary}", $board->price),
            new Part("supply/{$plan->supply->id}", $plan->supply->label, $plan->supply->price),
        ];
        if ($plan->supply->poeWatts === null) {
            $parts[] = new Part("cable/{$plan->cable->id}", $plan->cable->label, $plan->cable->price);
        }
        if (! $plan->startsFromDrive()) {
            $parts[] = new Part(
                "card/{$plan->card->id}",
                $plan->card->label,
                $plan->card->price,
                'the board starts from it',
            );
        }
        if ($plan->drive !== null) {
            $parts[] = new Part("drive/{$plan->drive->id}", $plan->drive->label, $plan->drive->price);
        }
        if ($board->powerInlet !== 'barrel' && $plan->case->price->cents > 0) {
            $parts[] = new Part("case/{$plan->case->id}", $plan->case->label, $plan->case->price);
        }
        if ($plan->cooling !== null) {
            $parts[] = new Part("cooling/{$plan->cooling->id}", $plan->cooling->label, $plan->cooling->price);
        }
        if ($plan->addOn !== null) {
            $parts[] = new Part("addon/{$plan->addOn->id}", $plan->addOn->label, $plan->addOn->price);
        }

        return new self([...$parts, ...self::adapters($plan)]);
    }

    public function total(): Money
    {
        return self::sum($this->parts);
    }

    /**
     * What is left to pay when some of it lies in the drawer already.
     *
     * @param  list<string>  $drawer  labels of parts
     */
    public function toBuy(array $drawer): Money
    {
        return self::sum($this->missing($drawer));
    }

    /**
     * @param  list<string>  $drawer  labels of parts
     * @return list<Part>
     */
    public function missing(array $drawer): array
    {
        return array_values(
            array_filter($this->parts, fn (Part $part): bool => ! in_array($part->label, $drawer, true)),
        );
    }

    /** @param  list<Part>  $parts */
    public static function sum(array $parts): Money
    {
        return array_reduce($parts, fn (Money $sum, Part $part): Money => $sum->plus($part->price), Money::of(0));
    }

    /** @return list<Part> */
    private static function adapters(PlanInput $plan): array
    {
        $board = $plan->board;
        $small = $plan->small;
        $devices = count(UsbDevices::of($plan)->list);
        $parts = [
            $plan->link->isCable() && $plan->link !== LinkKind::UsbCable
                ? self::part($small->cheapest(AdapterKind::Lead), 'the part most often forgotten')
                : null,
            self::part($plan->networkAdapter(), 'the board has no network socket'),
            $devices > 0 && $board->usbSocket !== 'USB-A'
                ? self::part(
                    $small->cheapest(AdapterKind::Socket, $board->usbSocket),
                    'the board has no full-size USB socket',
                )
                : null,
            self::part(
                $plan->hub(),
                $devices > $board->usbCount
                    ? "{$devices} devices, ".
                        ($board->usbCount === 1 ? 'one socket' : "{$board->usbCount} sockets")
                    : 'takes the load off the board',
            ),
            self::part(
                $small->cheapest(AdapterKind::Video, $board->videoSocket),
                'for a screen when the first start gives trouble',
            ),
            $plan->needsReader()
                ? self::part(
                    $small->cheapest(AdapterKind::Reader, $plan->desk->usbPlug ?? ''),
                    'the desk computer has no card slot',
                )
                : null,
        ];

        return array_values(array_filter($parts));
    }

    private static function part(?Adapter $adapter, string $because): ?Part
    {
        return $adapter === null
            ? null
            : new Part("adapter/{$adapter->id}", $adapter->label, $adapter->price, $because);
    }
}
