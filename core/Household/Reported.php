<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** The last report of a box, when it came, and how its differences from the record were answered. */
final readonly class Reported
{
    /**
     * @param  bool  $isExpected  the box sends reports by itself
     * @param  list<string>  $accounts  that the record knows
     * @param  list<string>  $keys  fingerprints that the record knows
     * @param  list<string>  $mounts  where its disks are to be
     * @param  ?string  $mac  of its board
     * @param  ?string  $release  codename that the record has; null while none was ever told
     * @param  list<string>  $known  further places of file systems that the record knows
     * @param  array<string, int>  $answered  until when a difference is left alone, in Unix seconds, by its key
     */
    public function __construct(
        public string $box,
        public DateTimeImmutable $at,
        public BoxReport $report,
        public bool $isExpected = false,
        public array $accounts = [],
        public array $keys = [],
        public array $mounts = [],
        public ?string $mac = null,
        public array $answered = [],
        public ?string $release = null,
        public array $known = [],
    ) {
    }
}
