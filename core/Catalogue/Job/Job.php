<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Net\Port;
use Burrow\Quantity\Bytes;

/** A job a box can have: what it needs, where it listens, how it is set up and how often it is looked after. */
final readonly class Job
{
    /**
     * @param  float  $speed  relative speed of a board on which it runs well; the single-core board is 1
     * @param  list<Peripheral>  $peripherals
     * @param  list<School>  $schools
     * @param  list<string>  $verify
     * @param  bool  $heavy  loads processor or disk for long
     * @param  bool  $restarts  is restarted or changed often
     * @param  bool  $householdFiles  holds the household's files
     * @param  list<string>  $clients  from what it is used
     * @param  bool  $syncs  sends the household's files out over the internet line
     * @param  float  $networkMegabits  payload it wants from the network, in Mb/s; 0 when it hardly needs any
     * @param  string  $addOn  kind of add-on it wants ("audio"), or empty
     * @param  bool  $screen  the box has a screen
     * @param  list<JobPort>  $ports
     * @param  list<string>  $packages  Debian packages installed at first boot
     * @param  list<string>  $backUp
     * @param  list<string>  $cautions
     * @param  string  $servesAll  what every other box depends on it for ("names"), or empty
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $short,
        public string $summary,
        public bool $needsDisk,
        public Bytes $memoryIdle,
        public Bytes $memoryBusy,
        public float $speed,
        public int $bits,
        public Bytes $writesPerDay,
        public array $peripherals,
        public array $schools,
        public array $verify,
        public bool $heavy,
        public bool $restarts,
        public bool $householdFiles,
        public array $clients,
        public bool $syncs,
        public bool $facesWorld,
        public int $cadenceDays,
        public array $ports,
        public array $packages,
        public array $backUp,
        public array $cautions,
        public string $servesAll,
        public float $networkMegabits,
        public string $addOn,
        public bool $screen,
        public ?Bought $bought,
    ) {
    }

    /** The port that shows the job is being done: the first one it lists. */
    public function servicePort(): ?JobPort
    {
        return $this->ports[0] ?? null;
    }

    /** The port whose number the household chooses; null when it has none. */
    public function askedPort(): ?JobPort
    {
        return array_values(array_filter($this->ports, fn (JobPort $use): bool => $use->asked))[0] ?? null;
    }

    /** The port of its own page, where it has one. */
    public function pagePort(): ?JobPort
    {
        return array_values(
            array_filter($this->ports, fn (JobPort $use): bool => $use->purpose === 'its own page'),
        )[0] ?? null;
    }

    /** The same job with the number that was chosen for the port that is asked. */
    public function listeningAt(?int $number): self
    {
        $port = $number === null ? null : Port::tryOf($number);
        if ($port === null) {
            return $this;
        }
        $ports = array_map(
            fn (JobPort $use): JobPort => $use->asked
                ? new JobPort($port, $use->protocol, $use->purpose, $use->mayFaceWorld, true)
                : $use,
            $this->ports,
        );

        /** @phpstan-ignore argument.type (all but the ports are its own) */
        return new self(...array_replace(get_object_vars($this), ['ports' => $ports]));
    }
}
