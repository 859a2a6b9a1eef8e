<?php

declare(strict_types=1);

namespace Burrow\Catalogue;

use Burrow\Catalogue\Part\Adapter;
use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Bus;
use Burrow\Catalogue\Part\Cable;
use Burrow\Catalogue\Part\CardKind;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Catalogue\Part\Cooling;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\Enclosure;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\Kit;
use Burrow\Catalogue\Part\Market;
use Burrow\Catalogue\Part\OwnText;
use Burrow\Catalogue\Part\Processor;
use Burrow\Catalogue\Part\SdBus;
use Burrow\Catalogue\Part\Supply;
use Burrow\Catalogue\Part\Usb;
use Burrow\Catalogue\Part\Wireless;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;
use Burrow\Quantity\Volts;
use Burrow\Quantity\Watts;

/** Turns a catalogue entry that its JSON Schema has passed into a typed value. */
final readonly class CatalogueReader
{
    /** @param  array<string, mixed>  $entry an entry valid under board.schema.json */
    public function board(array $entry): BoardClass
    {
        /**
         * @var array{id: string, label: string, summary: string, processor: array{cores: int, bits: int, ms_per_mb: array{serve: int|float, network: int|float, usb: int|float}}, speed: int|float, year: int, sockets: array{usb: string, video: string, usb_count?: int, header_pins?: int}, boots_from: list<string>, poe_type?: int, memory_mib: int, links: array{wired_mbit?: int, wireless_mbit?: int|float, wireless?: array{standard: 'n'|'ac', mhz: 20|40|80, streams: int, short_guard: bool}, disk_mbyte: int|float, gadget_mbit?: int|float}, buses: list<array{name: string, usb?: 2|3, mbyte: int|float, carries: list<string>, amps?: int|float}>, power: array{inlet: string, supply_amps: int|float, idle_watts: int|float, busy_watts: int|float, undervoltage: int|float}, network_after_s: int, price: int|float, lights: string} $entry
         */
        $cost = $entry['processor']['ms_per_mb'];
        $radio = $entry['links']['wireless'] ?? null;

        return new BoardClass(
            id: $entry['id'],
            label: $entry['label'],
            summary: $entry['summary'],
            processor: new Processor(
                $entry['processor']['cores'],
                $entry['processor']['bits'],
                (float) $cost['serve'],
                (float) $cost['network'],
                (float) $cost['usb'],
            ),
            speed: (float) $entry['speed'],
            year: $entry['year'],
            memory: Bytes::mebi($entry['memory_mib']),
            wiredMegabits: isset($entry['links']['wired_mbit']) ? (float) $entry['links']['wired_mbit'] : null,
            wirelessMegabits: $radio !== null
                ? Wireless::megabits($radio['standard'], $radio['mhz'], $radio['streams'], $radio['short_guard'])
                : (isset($entry['links']['wireless_mbit'])
                    ? (float) $entry['links']['wireless_mbit']
                    : null),
            diskPort: Rate::megabytesPerSecond($entry['links']['disk_mbyte']),
            buses: array_map(
                fn (array $bus): Bus => new Bus(
                    $bus['name'],
                    self::payload(Rate::megabytesPerSecond($bus['mbyte']), $bus['usb'] ?? null),
                    $bus['carries'],
                    isset($bus['amps']) ? Amps::of($bus['amps']) : null,
                ),
                $entry['buses'],
            ),
            usbSocket: $entry['sockets']['usb'],
            videoSocket: $entry['sockets']['video'],
            bootsFrom: $entry['boots_from'],
            poeType: $entry['poe_type'] ?? null,
            powerInlet: $entry['power']['inlet'],
            supplyAmps: (float) $entry['power']['supply_amps'],
            idle: Watts::of($entry['power']['idle_watts']),
            busy: Watts::of($entry['power']['busy_watts']),
            undervoltage: Volts::of($entry['power']['undervoltage']),
            networkAfter: Duration::seconds($entry['network_after_s']),
            price: Money::of($entry['price']),
            lights: $entry['lights'],
            usbCount: $entry['sockets']['usb_count'] ?? 1,
            headerPins: $entry['sockets']['header_pins'] ?? 0,
            market: self::market($entry),
            gadgetMegabits: isset($entry['links']['gadget_mbit']) ? (float) $entry['links']['gadget_mbit'] : null,
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under supply.schema.json */
    public function supply(array $entry): Supply
    {
        /**
         * @var array{id: string, label: string, volts: int|float, amps: int|float, poe_type?: int, poe_watts?: int|float, outputs?: int, together_amps?: int|float, price: int|float} $entry
         */
        return new Supply(
            $entry['id'],
            $entry['label'],
            Volts::of($entry['volts']),
            Amps::of($entry['amps']),
            Money::of($entry['price']),
            $entry['poe_type'] ?? null,
            isset($entry['poe_watts']) ? (float) $entry['poe_watts'] : null,
            $entry['outputs'] ?? 1,
            Amps::of($entry['together_amps'] ?? $entry['amps']),
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under cable.schema.json */
    public function cable(array $entry): Cable
    {
        /** @var array{id: string, label: string, plug: string, awg: int, metres: int|float, price: int|float} $entry */
        return new Cable(
            $entry['id'],
            $entry['label'],
            $entry['awg'],
            (float) $entry['metres'],
            Money::of($entry['price']),
            $entry['plug'],
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under drive.schema.json */
    public function drive(array $entry): Drive
    {
        /**
         * @var array{id: string, label: string, spins: bool, capacity_gb: int|float, mbyte: int|float, running_amps: int|float, starting_amps: int|float, endurance_tb?: int|float, price: int|float} $entry
         */
        return new Drive(
            $entry['id'],
            $entry['label'],
            $entry['spins'],
            Bytes::giga($entry['capacity_gb']),
            Rate::megabytesPerSecond($entry['mbyte']),
            Amps::of($entry['running_amps']),
            Amps::of($entry['starting_amps']),
            Money::of($entry['price']),
            isset($entry['endurance_tb']) ? Bytes::tera($entry['endurance_tb']) : null,
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under card.schema.json */
    public function card(array $entry): CardKind
    {
        /**
         * @var array{id: string, label: string, capacity_gb: int|float, write_mbyte: int|float, read_mbyte: int|float, erase_cycles: int, bus?: string, price: int|float} $entry
         */
        return new CardKind(
            $entry['id'],
            $entry['label'],
            Bytes::giga($entry['capacity_gb']),
            Rate::megabytesPerSecond($entry['write_mbyte']),
            Rate::megabytesPerSecond($entry['read_mbyte']),
            $entry['erase_cycles'],
            Money::of($entry['price']),
            SdBus::from($entry['bus'] ?? 'sdr104'),
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under case.schema.json */
    public function case(array $entry): Enclosure
    {
        /**
         * @var array{id: string, label: string, kelvin_per_watt: int|float, takes_addon: bool, price: int|float, sinks?: bool} $entry
         */
        return new Enclosure(
            $entry['id'],
            $entry['label'],
            (float) $entry['kelvin_per_watt'],
            $entry['takes_addon'],
            Money::of($entry['price']),
            self::market($entry),
            $entry['sinks'] ?? false,
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under image.schema.json */
    public function image(array $entry): ImageKind
    {
        /**
         * @var array{id: string, label: string, bits: int, desktop: bool, memory_idle_mib: int|float, memory_wanted_mib: int|float, memory_least_mib: int|float, packed_gb: int|float, unpacked_gb: int|float, year: int, kernel_bits?: int, ready_made?: bool, wizard?: bool, without?: list<string>, first_boot?: list<string>, markers?: list<string>, own_text?: array{file: string, lines: non-empty-list<string>}} $entry
         */
        return new ImageKind(
            $entry['id'],
            $entry['label'],
            $entry['bits'],
            $entry['desktop'],
            Bytes::mebi($entry['memory_idle_mib']),
            Bytes::mebi($entry['memory_wanted_mib']),
            Bytes::mebi($entry['memory_least_mib']),
            Bytes::giga($entry['packed_gb']),
            Bytes::giga($entry['unpacked_gb']),
            $entry['year'],
            $entry['kernel_bits'] ?? $entry['bits'],
            $entry['ready_made'] ?? false,
            $entry['wizard'] ?? false,
            $entry['without'] ?? [],
            array_map(CardSchool::from(...), $entry['first_boot'] ?? ['declarative']),
            $entry['markers'] ?? [],
            isset($entry['own_text']) ? new OwnText($entry['own_text']['file'], $entry['own_text']['lines']) : null,
            ! ($entry['updates_ended'] ?? false),
            $entry['carries'] ?? [],
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under adapter.schema.json */
    public function adapter(array $entry): Adapter
    {
        /**
         * @var array{id: string, label: string, does: string, from?: string, to?: string, sockets?: int, amps?: int|float, mbit?: int|float, bus?: string, price: int|float} $entry
         */
        return new Adapter(
            $entry['id'],
            $entry['label'],
            AdapterKind::from($entry['does']),
            $entry['from'] ?? '',
            $entry['to'] ?? '',
            $entry['sockets'] ?? 0,
            Amps::of($entry['amps'] ?? 0),
            (float) ($entry['mbit'] ?? 0),
            SdBus::from($entry['bus'] ?? 'high'),
            Money::of($entry['price']),
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under cooling.schema.json */
    public function cooling(array $entry): Cooling
    {
        /**
         * @var array{id: string, label: string, share: int|float, amps: int|float, price: int|float, sinks?: bool} $entry
         */
        return new Cooling(
            $entry['id'],
            $entry['label'],
            (float) $entry['share'],
            Amps::of($entry['amps']),
            Money::of($entry['price']),
            self::market($entry),
            $entry['sinks'] ?? false,
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under addon.schema.json */
    public function addOn(array $entry): AddOn
    {
        /**
         * @var array{id: string, label: string, gives: string, plug: string, pins?: int, amps: int|float, poe_type?: int, price: int|float} $entry
         */
        return new AddOn(
            $entry['id'],
            $entry['label'],
            $entry['gives'],
            $entry['plug'],
            $entry['pins'] ?? 0,
            Amps::of($entry['amps']),
            $entry['poe_type'] ?? null,
            Money::of($entry['price']),
            self::market($entry),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under kit.schema.json */
    public function kit(array $entry): Kit
    {
        /** @var array{id: string, label: string, holds: non-empty-list<string>, price: int|float} $entry */
        return new Kit(
            $entry['id'],
            $entry['label'],
            $entry['holds'],
            Money::of($entry['price']),
            self::market($entry),
        );
    }

    /**
     * A figure above what the standard allows is a slip; the standard's goes.
     *
     * @param  2|3|null  $usb
     */
    private static function payload(Rate $claimed, ?int $usb): Rate
    {
        return $usb !== null && Usb::most($usb)->isBelow($claimed) ? Usb::most($usb) : $claimed;
    }

    /** @param  array<string, mixed>  $entry */
    private static function market(array $entry): Market
    {
        /** @var array{priced?: string, available?: bool} $entry */
        return new Market($entry['priced'] ?? '', $entry['available'] ?? true);
    }
}
