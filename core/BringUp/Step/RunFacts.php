<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Catalogue\Job\Job;
use Burrow\Net\Ipv4;
use Burrow\Quantity\Bytes;
use DateTimeImmutable;

/** What a run knows of its box. */
final readonly class RunFacts
{
    /**
     * @param  string  $name  the box's
     * @param  ?string  $user  who logs in
     * @param  ?Ipv4  $address  the one planned for it, and later pinned
     * @param  ?string  $hostKey  fingerprint of the key kept for it
     * @param  ?Bytes  $disk  size of the disk that was planned
     * @param  list<Job>  $jobs  that the run plays
     * @param  list<string>  $leasesBefore  hardware addresses in the router's list before power-on
     * @param  array<string, string>  $learned  value => what earlier steps of the run learned; "job:value" where it
     *         belongs to one job
     * @param  array<string, string>  $house  value => what is so of the whole house: its domain, router, time zone …
     * @param  list<string>  $passedOver  ids of the run's steps that were passed over
     */
    public function __construct(
        public string $name,
        public ?string $user = null,
        public ?Ipv4 $address = null,
        public ?string $mac = null,
        public ?string $hostKey = null,
        public ?DateTimeImmutable $hostKeyAt = null,
        public ?DateTimeImmutable $cardWrittenAt = null,
        public ?Bytes $disk = null,
        public array $jobs = [],
        public array $leasesBefore = [],
        public array $learned = [],
        public array $house = [],
        public array $passedOver = [],
    ) {
    }

    /** Where the box was met in the router's list, else where it should be. */
    public function found(): ?Ipv4
    {
        return Ipv4::tryParse($this->learned['found'] ?? '') ?? $this->address;
    }

    /** @return array<string, string> value => what was learned for this job */
    public function learnedFor(string $job): array
    {
        $own = [];
        foreach ($job === '' ? [] : $this->learned as $name => $value) {
            if (str_starts_with($name, "{$job}:")) {
                $own[substr($name, strlen($job) + 1)] = $value;
            }
        }

        return $own;
    }

    /** The port of a job's page that the household chose, or the only port that it has one on. */
    public function pagePort(string $job): ?string
    {
        foreach ($this->jobs as $one) {
            if ($one->id === $job) {
                $port = $one->askedPort() ?? $one->pagePort();

                return $port === null ? null : (string) $port->port->number;
            }
        }

        return null;
    }
}
