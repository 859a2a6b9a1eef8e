<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;
use Burrow\Quantity\Volts;
use Burrow\Quantity\Watts;

/** A class of boards, described by what it can do. */
final readonly class BoardClass
{
    /**
     * @param  list<Bus>  $buses
     * @param  ?float  $wiredMegabits  line rate of the wired socket in Mb/s; null when there is none
     * @param  ?float  $wirelessMegabits  rate on the air in Mb/s; null when there is no radio
     * @param  float  $speed  of the whole board, relative to the single-core one
     * @param  int  $year  of its first sale
     * @param  list<string>  $bootsFrom
     * @param  ?int  $poeType  1 or 2 when it takes power over Ethernet (IEEE 802.3)
     * @param  int  $usbCount  full-size or small USB sockets for devices
     * @param  int  $headerPins  40, 26 or 0: the header that add-on boards sit on
     * @param  ?float  $gadgetMegabits  as a network device on the USB cable to a computer, in Mb/s; null when it
     *         cannot be one
     * @param  float  $supplyAmps  current the supply must be able to give
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $summary,
        public Processor $processor,
        public float $speed,
        public int $year,
        public Bytes $memory,
        public ?float $wiredMegabits,
        public ?float $wirelessMegabits,
        public Rate $diskPort,
        public array $buses,
        public string $usbSocket,
        public string $videoSocket,
        public array $bootsFrom,
        public ?int $poeType,
        public string $powerInlet,
        public float $supplyAmps,
        public Watts $idle,
        public Watts $busy,
        public Volts $undervoltage,
        public Duration $networkAfter,
        public Money $price,
        public string $lights,
        public int $usbCount,
        public int $headerPins,
        public Market $market = new Market(),
        public ?float $gadgetMegabits = null,
    ) {
    }

    public function startsFromCard(): bool
    {
        return in_array('card', $this->bootsFrom, true);
    }

    /**
     * How it starts from a drive: "drive", or with what has to be done before, as "drive after a firmware step"; null
     * when it does not.
     */
    public function startsFromDrive(): ?string
    {
        foreach ($this->bootsFrom as $source) {
            if (str_starts_with($source, 'drive')) {
                return $source;
            }
        }

        return null;
    }

    /** The bus that disks and USB devices hang on. */
    public function usbBus(): ?Bus
    {
        foreach ($this->buses as $bus) {
            if ($bus->carries('disk')) {
                return $bus;
            }
        }

        return null;
    }

    /** Line rate of a link of its own, in Mb/s; null when it has none. */
    public function megabits(LinkKind $link): ?float
    {
        return match ($link) {
            LinkKind::Wired => $this->wiredMegabits,
            LinkKind::Wireless => $this->wirelessMegabits,
            LinkKind::UsbWired => null,
            LinkKind::UsbCable => $this->gadgetMegabits,
        };
    }
}
