<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Report;

use Burrow\Household\BoxReport;
use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Intake\Listening\Listener;
use Burrow\Intake\Own\OwnAddress;
use Burrow\Intake\Storage\FillFact;
use Burrow\Intake\Storage\MountFact;
use Burrow\Intake\System\PowerFact;
use Burrow\Intake\System\UnitFact;
use Burrow\Intake\Updates\PackageChange;

/** Reads what the report script prints, however it came; parts that are not there were not told. */
final readonly class ReportReader
{
    /** A rail of 5 V, as far as it may sink or rise while a board still runs. */
    private const LOWEST = 4.0;

    private const HIGHEST = 6.0;

    /** Bytes of a report that are read; one of a busy box has about a tenth. */
    public const MOST = 262_144;

    /** Things of one kind that are kept. */
    private const ITEMS = 400;

    private const WORD = 200;

    public function __construct(private Intake $intake)
    {
    }

    /** Null where no part of a report stands in the text. */
    public function read(string $text): ?BoxReport
    {
        $parts = self::parts(mb_scrub(substr($text, 0, self::MOST)));
        if (! isset($parts['made'])) {
            return null;
        }
        $made = array_values(
            array_filter(explode("\n", $parts['made']), fn (string $one): bool => $one !== ''),
        );
        $release = self::values($parts['release'] ?? '');
        $updates =
            isset($parts['updates']) && trim($parts['updates']) !== ''
                ? $this->updates($parts['updates'])
                : null;
        $memory = self::values(
            str_replace(': ', '=', preg_replace('/ +/', ' ', $parts['memory'] ?? '') ?? ''),
        );
        $power = $this->first('power', $parts['power'] ?? '', PowerFact::class);
        $own = $this->all('own-address', $parts['addresses'] ?? '', OwnAddress::class);

        return new BoxReport(
            host: isset($made[1]) ? self::short($made[1]) : null,
            madeAt: self::number($made[0] ?? '', 32_503_680_000),
            release: isset($release['PRETTY_NAME']) ? self::short($release['PRETTY_NAME']) : null,
            codename: isset($release['VERSION_CODENAME']) ? self::short($release['VERSION_CODENAME']) : null,
            kernel: trim($parts['kernel'] ?? '') === '' ? null : self::short(trim($parts['kernel'])),
            uptimeSeconds: self::number(explode('.', trim($parts['uptime'] ?? ''))[0], 4_000_000_000),
            synchronised: match (trim($parts['clock'] ?? '')) {
                'NTPSynchronized=yes' => true,
                'NTPSynchronized=no' => false,
                default => null,
            },
            restart: match (trim($parts['restart'] ?? '')) {
                'yes' => true,
                'no' => false,
                default => null,
            },
            listsAt: self::latest($parts['lists'] ?? ''),
            pending: $updates === null
                ? null
                : self::names($updates, fn (PackageChange $one): string => $one->package),
            security: $updates === null
                ? null
                : self::names(
                    array_filter($updates, fn (PackageChange $one): bool => $one->security === true),
                    fn (PackageChange $one): string => $one->package,
                ),
            failed: self::isAsked($parts['failed'] ?? '')
                ? self::names($this->units($parts['failed'] ?? ''), fn (UnitFact $one): string => $one->unit)
                : null,
            listening: trim($parts['listening'] ?? '') === '' ? null : $this->listening($parts['listening']),
            addresses: $own === []
                ? null
                : self::names(
                    array_filter($own, fn (OwnAddress $one): bool => $one->address !== null),
                    fn (OwnAddress $one): string => (string) $one->address,
                ),
            macs: $own === []
                ? null
                : self::names(
                    array_filter($own, fn (OwnAddress $one): bool => $one->mac !== null),
                    fn (OwnAddress $one): string => (string) $one->mac,
                ),
            fills: trim($parts['fill'] ?? '') === '' ? null : $this->fills($parts['fill']),
            mounts: trim($parts['mounts'] ?? '') === ''
                ? null
                : self::names(
                    array_filter(
                        $this->all('mounts', $parts['mounts'], MountFact::class),
                        fn (MountFact $one): bool => $one->mount !== null,
                    ),
                    fn (MountFact $one): string => (string) $one->mount,
                ),
            accounts: isset($parts['accounts'])
                ? self::words($parts['accounts'], '/^[a-z_][a-z0-9_.-]{0,31}\$?$/iD')
                : null,
            keys: self::isAsked($parts['keys'] ?? '')
                ? self::names(
                    array_filter(
                        $this->all('hostkeys', $parts['keys'] ?? '', KeySeen::class),
                        fn (KeySeen $one): bool => $one->sha256 !== null,
                    ),
                    fn (KeySeen $one): string => (string) $one->sha256,
                )
                : null,
            containers: self::isAsked($parts['containers'] ?? '')
                ? self::words($parts['containers'] ?? '', '/^[A-Za-z0-9][\w.-]{0,120}$/D')
                : null,
            memoryBytes: self::kibi($memory['MemTotal'] ?? ''),
            availableBytes: self::kibi($memory['MemAvailable'] ?? ''),
            celsius: preg_match('/^-?\d{1,6}$/D', trim($parts['temperature'] ?? '')) === 1
                ? (int) trim($parts['temperature']) / 1000
                : null,
            undervoltage: $power === null ? null : $power->undervoltageNow || $power->undervoltageSinceBoot,
            throttled: $power === null ? null : $power->throttledNow || $power->throttledSinceBoot,
            volts: self::volts($parts['volts'] ?? ''),
        );
    }

    /** The sensor nearest to 5 V of those that tell millivolts (kernel, hwmon sysfs interface); null where none is. */
    private static function volts(string $text): ?float
    {
        $near = null;
        foreach (array_slice(explode("\n", trim($text)), 0, 64) as $line) {
            $volts = preg_match('/^\d{1,6}$/D', trim($line)) === 1 ? (int) trim($line) / 1000 : 0.0;
            if ($volts >= self::LOWEST && $volts <= self::HIGHEST) {
                $near = $near === null || abs($volts - 5) < abs($near - 5) ? $volts : $near;
            }
        }

        return $near;
    }

    /** @return array<string, string> what stands below each mark; only the first of a kind, and of the last report */
    private static function parts(string $text): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        // Two reports in one paste: the later one counts.
        $from = strrpos("\n".$text, "\n#: made\n");
        $parts = [];
        $at = null;
        foreach ($from === false ? [] : explode("\n", substr($text, max(0, $from))) as $line) {
            if (preg_match('/^#: ([a-z]{2,20})\s*$/D', $line, $m) === 1) {
                $at = in_array($m[1], ReportScript::PARTS, true) && ! isset($parts[$m[1]]) ? $m[1] : null;
                $at === null || ($parts[$at] = '');
                if ($at === 'end') {
                    break;
                }
            } elseif ($at !== null) {
                $parts[$at] = ($parts[$at] ?? '').$line."\n";
            }
        }

        return $parts;
    }

    /**
     * @template T of \JsonSerializable
     *
     * @param  class-string<T>  $type
     * @return list<T>
     */
    private function all(string $kind, string $text, string $type): array
    {
        return trim($text) === '' ? [] : $this->intake->read($kind, $text)->all($type);
    }

    /**
     * @template T of \JsonSerializable
     *
     * @param  class-string<T>  $type
     * @return ?T
     */
    private function first(string $kind, string $text, string $type): ?object
    {
        return $this->all($kind, $text, $type)[0] ?? null;
    }

    /** @return list<PackageChange> */
    private function updates(string $text): array
    {
        return array_values(
            array_filter(
                $this->all('updates', $text, PackageChange::class),
                fn (PackageChange $one): bool => $one->change === 'upgrade',
            ),
        );
    }

    /** @return list<UnitFact> */
    private function units(string $text): array
    {
        return array_values(
            array_filter(
                $this->all('units', $text, UnitFact::class),
                fn (UnitFact $one): bool => $one->state === 'failed',
            ),
        );
    }

    /** @return list<array{string, string, int, ?string}> */
    private function listening(string $text): array
    {
        $heard = [];
        foreach ($this->all('listening', $text, Listener::class) as $one) {
            $heard["{$one->protocol} {$one->address} {$one->port}"] = [
                $one->protocol,
                $one->address,
                $one->port,
                $one->process,
            ];
        }

        return array_slice(array_values($heard), 0, self::ITEMS);
    }

    /** @return list<array{string, int, int}> */
    private function fills(string $text): array
    {
        $fills = [];
        foreach ($this->all('fill', $text, FillFact::class) as $one) {
            if (
                $one->usedBytes !== null &&
                $one->bytes > 0 &&
                preg_match('~^(?:/dev|/run|/sys|/proc|/tmp)(?:/|$)~', $one->mount) !== 1
            ) {
                $fills[] = [
                    self::short($one->mount),
                    $one->availableBytes === null ? $one->bytes : $one->usedBytes + $one->availableBytes,
                    $one->usedBytes,
                ];
            }
        }

        return array_slice($fills, 0, 40);
    }

    /** @return array<string, string> "KEY=value" by key, quotes taken off (os-release(5)) */
    private static function values(string $text): array
    {
        preg_match_all('/^([A-Za-z_]{2,40})=("?)(.{0,300}?)\2\s*$/m', $text, $all, PREG_SET_ORDER);
        $values = [];
        foreach ($all as [, $key, , $value]) {
            $values[$key] ??= $value;
        }

        return $values;
    }

    /** Where nothing is an answer, it has to say that it is one. */
    private static function isAsked(string $part): bool
    {
        return preg_match('/^#asked$/m', $part) === 1;
    }

    /** The latest of some moments in Unix seconds; null where none stands there. */
    private static function latest(string $text): ?int
    {
        $moments = array_filter(
            array_map(
                fn (string $line): ?int => self::number(trim($line), 32_503_680_000),
                explode("\n", $text),
            ),
            fn (?int $one): bool => $one !== null,
        );

        return $moments === [] ? null : max($moments);
    }

    private static function kibi(string $text): ?int
    {
        return preg_match('/^(\d{1,12}) kB$/D', trim($text), $m) === 1 ? 1024 * (int) $m[1] : null;
    }

    private static function number(string $text, int $most): ?int
    {
        return preg_match('/^\d{1,11}$/D', $text) === 1 && (int) $text <= $most ? (int) $text : null;
    }

    /** @return list<string> lines of one form */
    private static function words(string $text, string $form): array
    {
        return self::names(
            array_filter(
                array_map(trim(...), explode("\n", $text)),
                fn (string $one): bool => preg_match($form, $one) === 1,
            ),
            fn (string $one): string => $one,
        );
    }

    /**
     * @template T
     *
     * @param  array<T>  $things
     * @param  callable(T): string  $name
     * @return list<string>
     */
    private static function names(array $things, callable $name): array
    {
        return array_slice(
            array_values(
                array_unique(array_map(fn (mixed $one): string => self::short($name($one)), $things)),
            ),
            0,
            self::ITEMS,
        );
    }

    private static function short(string $text): string
    {
        return mb_substr((string) preg_replace('/\p{C}+/u', '', $text), 0, self::WORD);
    }
}
