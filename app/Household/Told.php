<?php

declare(strict_types=1);

namespace App\Household;

use Burrow\Household\BoxReport;
use Burrow\Household\EngineGroup;
use Burrow\Household\Heard;
use Burrow\Household\PacketFilter;
use Burrow\Household\Reported;
use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Net\Address;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use DateTimeImmutable;

/** What boxes told of themselves, out of the texts in which it is kept; what is damaged is left out. */
final class Told
{
    /** @return list<Heard> of rows of protocol, address, port and program */
    public static function heard(mixed $kept): array
    {
        $heard = [];
        foreach (self::list($kept) as $row) {
            [$protocol, $address, $port, $process] = is_array($row)
                ? [...array_values($row), '', '', 0, null]
                : ['', '', 0, null];
            $protocol = is_string($protocol) ? Protocol::tryFrom($protocol) : null;
            $address = is_string($address) ? Address::standard($address) : null;
            $port = is_int($port) ? Port::tryOf($port) : null;
            if ($protocol !== null && $address !== null && $port !== null) {
                $heard[] = new Heard($protocol, $address, $port, is_string($process) ? $process : null);
            }
        }

        return $heard;
    }

    public static function filter(string $box, DateTimeImmutable $at, mixed $kept): ?PacketFilter
    {
        $told = self::list($kept);
        $rules = [];
        foreach (is_array($told['rules'] ?? null) ? $told['rules'] : [] as $row) {
            $text = fn (string $key): ?string => is_array($row) && is_string($row[$key] ?? null)
                ? $row[$key]
                : null;
            $number = fn (string $key): ?int => is_array($row) && is_int($row[$key] ?? null)
                ? $row[$key]
                : null;
            $rules[] = new FirewallRule(
                $text('chain') ?? '',
                $text('policy'),
                $text('action') ?? '',
                $text('protocol'),
                $number('port'),
                $number('port_to'),
                $text('source'),
                $text('to'),
                $text('interface'),
                $text('state'),
                $text('family'),
                $text('table'),
                $text('hook'),
                is_array($row) && ($row['more'] ?? false) === true,
            );
        }

        return $rules === [] && ($told['active'] ?? true) === true
            ? null
            : new PacketFilter($box, $at, $rules, ($told['active'] ?? true) === true);
    }

    public static function group(string $box, DateTimeImmutable $at, mixed $kept): ?EngineGroup
    {
        $told = self::list($kept);

        return is_string($told['group'] ?? null)
            ? new EngineGroup($box, $at, $told['group'], self::strings($told['accounts'] ?? null))
            : null;
    }

    public static function report(string $box, DateTimeImmutable $at, mixed $kept): ?Reported
    {
        $told = self::list($kept);
        $report = $told['report'] ?? null;

        return is_array($report)
            ? new Reported(
                $box,
                $at,
                BoxReport::kept($report),
                ($told['expected'] ?? false) === true,
                self::strings($told['accounts'] ?? null),
                self::strings($told['keys'] ?? null),
                self::strings($told['mounts'] ?? null),
                is_string($told['mac'] ?? null) ? $told['mac'] : null,
                array_filter(is_array($told['answered'] ?? null) ? $told['answered'] : [], is_int(...)),
                is_string($told['release'] ?? null) ? $told['release'] : null,
                self::strings($told['further'] ?? null),
            )
            : null;
    }

    /** @return list<string> */
    public static function texts(mixed $kept): array
    {
        return self::strings(self::list($kept));
    }

    /** @return list<string> */
    private static function strings(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }

    /** @return array<mixed> */
    private static function list(mixed $kept): array
    {
        $list = json_decode(is_string($kept) ? $kept : '', true, 16);

        return is_array($list) ? $list : [];
    }

    private function __construct()
    {
    }
}
