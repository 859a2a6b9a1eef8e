<?php

declare(strict_types=1);

namespace Burrow\Board;

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
        /** @var array{id: string, label: string, summary: string, processor: array{cores: int, bits: int, ms_per_mb: array{serve: int|float, network: int|float, usb: int|float}}, speed: int|float, year: int, sockets: array{usb: string, video: string}, boots_from: list<string>, poe_type?: int, memory_mib: int, links: array{wired_mbit?: int, wireless_mbit?: int|float, disk_mbyte: int|float}, buses: list<array{name: string, mbyte: int|float, carries: list<string>}>, power: array{inlet: string, supply_amps: int|float, idle_watts: int|float, busy_watts: int|float, undervoltage: int|float}, network_after_s: int, price: int|float, lights: string} $entry */
        $cost = $entry['processor']['ms_per_mb'];

        return new BoardClass(
            id: $entry['id'],
            label: $entry['label'],
            summary: $entry['summary'],
            processor: new Processor($entry['processor']['cores'], $entry['processor']['bits'], (float) $cost['serve'], (float) $cost['network'], (float) $cost['usb']),
            speed: (float) $entry['speed'],
            year: $entry['year'],
            memory: Bytes::mebi($entry['memory_mib']),
            wiredMegabits: isset($entry['links']['wired_mbit']) ? (float) $entry['links']['wired_mbit'] : null,
            wirelessMegabits: isset($entry['links']['wireless_mbit']) ? (float) $entry['links']['wireless_mbit'] : null,
            diskPort: Rate::megabytesPerSecond($entry['links']['disk_mbyte']),
            buses: array_map(fn (array $bus): Bus => new Bus($bus['name'], Rate::megabytesPerSecond($bus['mbyte']), $bus['carries']), $entry['buses']),
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
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under supply.schema.json */
    public function supply(array $entry): Supply
    {
        /** @var array{id: string, label: string, volts: int|float, amps: int|float, poe_type?: int, poe_watts?: int|float, price: int|float} $entry */
        return new Supply($entry['id'], $entry['label'], Volts::of($entry['volts']), Amps::of($entry['amps']), Money::of($entry['price']), $entry['poe_type'] ?? null, isset($entry['poe_watts']) ? (float) $entry['poe_watts'] : null);
    }

    /** @param  array<string, mixed>  $entry an entry valid under cable.schema.json */
    public function cable(array $entry): Cable
    {
        /** @var array{id: string, label: string, plug: string, awg: int, metres: int|float, price: int|float} $entry */
        return new Cable($entry['id'], $entry['label'], $entry['awg'], (float) $entry['metres'], Money::of($entry['price']), $entry['plug']);
    }

    /** @param  array<string, mixed>  $entry an entry valid under drive.schema.json */
    public function drive(array $entry): Drive
    {
        /** @var array{id: string, label: string, spins: bool, capacity_gb: int|float, mbyte: int|float, running_amps: int|float, starting_amps: int|float, price: int|float} $entry */
        return new Drive(
            $entry['id'],
            $entry['label'],
            $entry['spins'],
            Bytes::giga($entry['capacity_gb']),
            Rate::megabytesPerSecond($entry['mbyte']),
            Amps::of($entry['running_amps']),
            Amps::of($entry['starting_amps']),
            Money::of($entry['price']),
        );
    }

    /** @param  array<string, mixed>  $entry an entry valid under card.schema.json */
    public function card(array $entry): CardKind
    {
        /** @var array{id: string, label: string, capacity_gb: int|float, write_mbyte: int|float, read_mbyte: int|float, erase_cycles: int, price: int|float} $entry */
        return new CardKind($entry['id'], $entry['label'], Bytes::giga($entry['capacity_gb']), Rate::megabytesPerSecond($entry['write_mbyte']), Rate::megabytesPerSecond($entry['read_mbyte']), $entry['erase_cycles'], Money::of($entry['price']));
    }

    /** @param  array<string, mixed>  $entry an entry valid under case.schema.json */
    public function case(array $entry): Enclosure
    {
        /** @var array{id: string, label: string, kelvin_per_watt: int|float, takes_addon: bool, price: int|float} $entry */
        return new Enclosure($entry['id'], $entry['label'], (float) $entry['kelvin_per_watt'], $entry['takes_addon'], Money::of($entry['price']));
    }

    /** @param  array<string, mixed>  $entry an entry valid under image.schema.json */
    public function image(array $entry): ImageKind
    {
        /** @var array{id: string, label: string, bits: int, desktop: bool, memory_idle_mib: int|float, memory_wanted_mib: int|float, memory_least_mib: int|float, packed_gb: int|float, unpacked_gb: int|float, year: int} $entry */
        return new ImageKind($entry['id'], $entry['label'], $entry['bits'], $entry['desktop'], Bytes::mebi($entry['memory_idle_mib']), Bytes::mebi($entry['memory_wanted_mib']), Bytes::mebi($entry['memory_least_mib']), Bytes::giga($entry['packed_gb']), Bytes::giga($entry['unpacked_gb']), $entry['year']);
    }
}
