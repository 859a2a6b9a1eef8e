<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Watts;

/** Turns a job's YAML, once its JSON Schema has passed it, into a Job. */
final readonly class JobReader
{
    /** @param  array<string, mixed>  $entry an entry valid under job.schema.json */
    public function job(array $entry): Job
    {
        /**
         * @var array{id: string, label: string, short: string, summary: string, needs: array{disk: bool, memory_idle_mib: int, memory_busy_mib: int, speed: int|float, bits: int, writes_gb_day: int|float, peripherals?: list<array{what: string, plug: string, amps: int|float, feeds_back?: bool}>, network_mbit?: int|float, addon?: string}, screen?: bool, bought?: array{label: string, price: int|float, watts: int|float, hands_min: int|float, risk: string}, heavy?: bool, restarts?: bool, household_files?: bool, clients: list<string>, syncs?: bool, verify: list<string>, schools: list<array{id: string, label: string, hands_min: int|float, wait_min: int|float, disk_gb: int|float, update: string, risk: string, bits?: int, memory_mib?: int|float, maturity?: string, way_out?: string}>, faces_world: bool, cadence_days: int, ports: list<array{port: int, protocol: string, purpose: string, may_face_world: bool, asked?: bool}>, packages?: list<string>, back_up: list<string>, cautions?: list<string>, serves_all?: string} $entry
         */
        return new Job(
            id: $entry['id'],
            label: $entry['label'],
            short: $entry['short'],
            summary: $entry['summary'],
            needsDisk: $entry['needs']['disk'],
            memoryIdle: Bytes::mebi($entry['needs']['memory_idle_mib']),
            memoryBusy: Bytes::mebi($entry['needs']['memory_busy_mib']),
            speed: (float) $entry['needs']['speed'],
            bits: $entry['needs']['bits'],
            writesPerDay: Bytes::giga($entry['needs']['writes_gb_day']),
            peripherals: array_map(
                fn (array $one): Peripheral => new Peripheral(
                    $one['what'],
                    $one['plug'],
                    Amps::of($one['amps']),
                    $one['feeds_back'] ?? false,
                ),
                $entry['needs']['peripherals'] ?? [],
            ),
            schools: array_map(
                fn (array $one): School => new School(
                    $one['id'],
                    $one['label'],
                    Duration::minutes($one['hands_min']),
                    Duration::minutes($one['wait_min']),
                    Bytes::giga($one['disk_gb']),
                    $one['update'],
                    $one['risk'],
                    $one['bits'] ?? 32,
                    Bytes::mebi($one['memory_mib'] ?? 0),
                    $one['maturity'] ?? '',
                    $one['way_out'] ?? '',
                ),
                $entry['schools'],
            ),
            verify: $entry['verify'],
            heavy: $entry['heavy'] ?? false,
            restarts: $entry['restarts'] ?? false,
            householdFiles: $entry['household_files'] ?? false,
            clients: $entry['clients'],
            syncs: $entry['syncs'] ?? false,
            facesWorld: $entry['faces_world'],
            cadenceDays: $entry['cadence_days'],
            ports: array_map(
                fn (array $port): JobPort => new JobPort(
                    Port::of($port['port']),
                    Protocol::from($port['protocol']),
                    $port['purpose'],
                    $port['may_face_world'],
                    $port['asked'] ?? false,
                ),
                $entry['ports'],
            ),
            packages: $entry['packages'] ?? [],
            backUp: $entry['back_up'],
            cautions: $entry['cautions'] ?? [],
            servesAll: $entry['serves_all'] ?? '',
            networkMegabits: (float) ($entry['needs']['network_mbit'] ?? 0),
            addOn: $entry['needs']['addon'] ?? '',
            screen: $entry['screen'] ?? false,
            bought: isset($entry['bought'])
                ? new Bought(
                    $entry['bought']['label'],
                    Money::of($entry['bought']['price']),
                    Watts::of($entry['bought']['watts']),
                    Duration::minutes($entry['bought']['hands_min']),
                    $entry['bought']['risk'],
                )
                : null,
        );
    }
}
