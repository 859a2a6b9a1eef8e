<?php

declare(strict_types=1);

namespace Burrow\Household;

use JsonSerializable;

/**
 * What a box told of itself in one report: release, updates, disks, sockets, accounts. What it was not asked, or did
 * not tell, is null.
 */
final readonly class BoxReport implements JsonSerializable
{
    /**
     * @param  ?string  $host  its own name for itself
     * @param  ?int  $madeAt  Unix seconds by its own clock
     * @param  ?string  $release  "Debian GNU/Linux 12 (bookworm)", as os-release(5) has it
     * @param  ?string  $codename  "bookworm"
     * @param  ?bool  $synchronised  its clock
     * @param  ?bool  $restart  it wants to be started again
     * @param  ?int  $listsAt  when its lists of packages were fetched last, in Unix seconds by its own clock
     * @param  ?list<string>  $pending  packages that could be upgraded
     * @param  ?list<string>  $security  those of them that mend something
     * @param  ?list<string>  $failed  units that failed
     * @param  ?list<array{string, string, int, ?string}>  $listening  protocol, address, port, program
     * @param  ?list<string>  $addresses  its own, in their standard form
     * @param  ?list<string>  $macs
     * @param  ?list<array{string, int, int}>  $fills  where it is mounted, bytes that can be used, bytes that are
     * @param  ?list<string>  $mounts
     * @param  ?list<string>  $accounts  that may log in
     * @param  ?list<string>  $keys  fingerprints of keys that may log in as the one who made the report
     * @param  ?list<string>  $containers  that run
     * @param  ?float  $celsius  of its processor
     * @param  ?bool  $undervoltage  its supply was too low, now or since it started
     * @param  ?bool  $throttled  it was slowed for heat or supply, now or since it started
     * @param  ?float  $volts  of the 5 V that it is fed by, where a sensor tells them
     */
    public function __construct(
        public ?string $host = null,
        public ?int $madeAt = null,
        public ?string $release = null,
        public ?string $codename = null,
        public ?string $kernel = null,
        public ?int $uptimeSeconds = null,
        public ?bool $synchronised = null,
        public ?bool $restart = null,
        public ?array $pending = null,
        public ?array $security = null,
        public ?array $failed = null,
        public ?array $listening = null,
        public ?array $addresses = null,
        public ?array $macs = null,
        public ?array $fills = null,
        public ?array $mounts = null,
        public ?array $accounts = null,
        public ?array $keys = null,
        public ?array $containers = null,
        public ?int $memoryBytes = null,
        public ?int $availableBytes = null,
        public ?float $celsius = null,
        public ?bool $undervoltage = null,
        public ?bool $throttled = null,
        public ?int $listsAt = null,
        public ?float $volts = null,
    ) {
    }

    /** @param  array<mixed>  $kept  as it was made into JSON; what is of another kind is as if it had not been told */
    public static function kept(array $kept): self
    {
        $text = fn (string $key): ?string => is_string($kept[$key] ?? null) ? $kept[$key] : null;
        $number = fn (string $key): ?int => is_int($kept[$key] ?? null) ? $kept[$key] : null;
        $is = fn (string $key): ?bool => is_bool($kept[$key] ?? null) ? $kept[$key] : null;
        $texts = fn (string $key): ?array => is_array($kept[$key] ?? null)
            ? array_values(array_filter($kept[$key], is_string(...)))
            : null;
        $listening = $fills = [];
        foreach (is_array($kept['listening'] ?? null) ? $kept['listening'] : [] as $row) {
            [$protocol, $address, $port, $program] = is_array($row)
                ? [...array_values($row), null, null, null, null]
                : [null, null, null, null];
            if (is_string($protocol) && is_string($address) && is_int($port)) {
                $listening[] = [$protocol, $address, $port, is_string($program) ? $program : null];
            }
        }
        foreach (is_array($kept['fills'] ?? null) ? $kept['fills'] : [] as $row) {
            [$mount, $bytes, $used] = is_array($row)
                ? [...array_values($row), null, null, null]
                : [null, null, null];
            if (is_string($mount) && is_int($bytes) && is_int($used)) {
                $fills[] = [$mount, $bytes, $used];
            }
        }

        return new self(
            $text('host'),
            $number('madeAt'),
            $text('release'),
            $text('codename'),
            $text('kernel'),
            $number('uptimeSeconds'),
            $is('synchronised'),
            $is('restart'),
            $texts('pending'),
            $texts('security'),
            $texts('failed'),
            is_array($kept['listening'] ?? null) ? $listening : null,
            $texts('addresses'),
            $texts('macs'),
            is_array($kept['fills'] ?? null) ? $fills : null,
            $texts('mounts'),
            $texts('accounts'),
            $texts('keys'),
            $texts('containers'),
            $number('memoryBytes'),
            $number('availableBytes'),
            is_numeric($kept['celsius'] ?? null) ? (float) $kept['celsius'] : null,
            $is('undervoltage'),
            $is('throttled'),
            $number('listsAt'),
            is_numeric($kept['volts'] ?? null) ? (float) $kept['volts'] : null,
        );
    }

    /** Days since its lists of packages were fetched, when it made the report; null where it did not tell. */
    public function listDays(): ?int
    {
        return $this->listsAt === null || $this->madeAt === null
            ? null
            : max(0, intdiv($this->madeAt - $this->listsAt, 86_400));
    }

    /** Nothing waits, by lists that are not older than two days: nothing by old ones says nothing. */
    public function isUpToDate(): bool
    {
        $days = $this->listDays();

        return $this->pending === [] && $days !== null && $days <= 2;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }
}
