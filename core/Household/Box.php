<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Catalogue\Job\Job;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use DateTimeImmutable;

/** A box that has a name: what the house knows of it. */
final readonly class Box
{
    /**
     * @param  ?Ipv4  $address  null while it has none, or what is recorded is none
     * @param  bool  $covered  its address lies in its network, so it can be asked; true where it has none
     * @param  list<HeldJob>  $jobs  those that the catalogue holds
     * @param  int  $unfinishedJobs  of all its jobs, those whose playbook was not played to its end
     * @param  int  $passedOver  steps of its runs that were passed over
     * @param  ?DateTimeImmutable  $updated  when its system was last brought up to date, in the network's zone
     * @param  bool  $keepsAddress  its address is written on its card, or reserved for it in the router
     * @param  int  $networkId  of the network that it is in
     * @param  ?Mac  $mac  of the card that it is reached by; null while nobody saw it
     * @param  string  $network  which of the house's networks it is in; empty where there is one only
     * @param  string  $fedBy  the supply, strip or switch it hangs on, in the household's words; empty when nobody said
     */
    public function __construct(
        public int $id,
        public string $name,
        public Stage $stage,
        public Hearing $hearing,
        public ?Ipv4 $address = null,
        public bool $covered = true,
        public array $jobs = [],
        public int $unfinishedJobs = 0,
        public int $passedOver = 0,
        public ?DateTimeImmutable $updated = null,
        public string $fedBy = '',
        public BoxParts $parts = new BoxParts(),
        public bool $keepsAddress = true,
        public string $network = '',
        public int $networkId = 0,
        public ?Mac $mac = null,
    ) {
    }

    public function is(HearingState $state): bool
    {
        return $this->hearing->state === $state;
    }

    /** One of its jobs is meant to be reached from outside. */
    public function mayFaceWorld(): bool
    {
        return array_filter($this->jobs, fn (HeldJob $held): bool => $held->job->facesWorld) !== [];
    }

    /** What every other box depends on it for, or empty; only jobs that are finished count. */
    public function servesAll(): string
    {
        foreach ($this->jobs as $held) {
            if ($held->finished && $held->job->servesAll !== '') {
                return $held->job->servesAll;
            }
        }

        return '';
    }

    /** @return list<Job> */
    public function jobs(): array
    {
        return array_map(fn (HeldJob $held): Job => $held->job, $this->jobs);
    }
}
