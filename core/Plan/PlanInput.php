<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\Adapter;
use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Cable;
use Burrow\Catalogue\Part\CardKind;
use Burrow\Catalogue\Part\Cooling;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\Enclosure;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Part\Supply;
use Burrow\Plan\Power\Feed;
use Burrow\Plan\Power\UsbDevices;
use Burrow\Plan\Speed\Calibration;
use Burrow\Plan\Speed\Ethernet;
use Burrow\Quantity\Bytes;

/** The choices of one plan: one or several jobs on one box, and its parts. */
final readonly class PlanInput
{
    /**
     * @param  non-empty-list<Job>  $jobs
     * @param  SmallParts  $small  what the catalogue has of adapters and hubs
     * @param  ?Adapter  $hub  a powered hub that was chosen; one that the sockets call for is taken all the same
     * @param  list<Feed>  $along  other boxes on the same supply
     * @param  list<Peripheral>  $plugged  beside what the jobs have plugged in
     */
    public function __construct(
        public array $jobs,
        public BoardClass $board,
        public Supply $supply,
        public Cable $cable,
        public ?Drive $drive,
        public LinkKind $link,
        public ImageKind $image,
        public CardKind $card,
        public Enclosure $case,
        public SmallParts $small,
        public Circumstances $circumstances = new Circumstances(),
        public ?Adapter $hub = null,
        public ?Cooling $cooling = null,
        public ?AddOn $addOn = null,
        public SchoolChoice $schools = new SchoolChoice(),
        public ImageOrigin $imageFrom = ImageOrigin::Author,
        public ?DeskComputer $desk = null,
        public array $along = [],
        public Calibration $calibration = new Calibration(),
        public array $plugged = [],
        public StartFrom $startFrom = StartFrom::Card,
    ) {
    }

    /**
     * The same plan with some of its parts replaced; names are those of the constructor. What was measured on a
     * replaced part does not follow.
     */
    public function with(mixed ...$parts): self
    {
        $parts += ['calibration' => $this->calibration->without(array_map(strval(...), array_keys($parts)))];

        /** @phpstan-ignore argument.type (names and types are those of the constructor) */
        return new self(...array_replace(get_object_vars($this), $parts));
    }

    /** Its system lives on the drive: by choice, or because the board takes no card. */
    public function startsFromDrive(): bool
    {
        return $this->startFrom === StartFrom::Drive || ! $this->board->startsFromCard();
    }

    public function needsDisk(): bool
    {
        return array_filter($this->jobs, fn (Job $job): bool => $job->needsDisk) !== [];
    }

    public function school(Job $job): School
    {
        return $this->schools->of($job, $this->image->readyMade);
    }

    /** Memory of a job when busy, with what its school takes on top. */
    public function memoryOf(Job $job): Bytes
    {
        return $job->memoryBusy->plus($this->school($job)->memory);
    }

    /** Memory of all jobs when busy. */
    public function memoryOfJobs(): Bytes
    {
        return array_reduce(
            $this->jobs,
            fn (Bytes $sum, Job $job): Bytes => $sum->plus($this->memoryOf($job)),
            Bytes::of(0),
        );
    }

    /** Written by all jobs in a day. */
    public function writesPerDay(): Bytes
    {
        return self::written($this->jobs);
    }

    /**
     * Of that, what goes to the drive: all of it where the system lives there, else what the jobs with files of their
     * own write.
     */
    public function writesToDrivePerDay(): Bytes
    {
        if ($this->drive === null) {
            return Bytes::of(0);
        }

        return $this->startsFromDrive()
            ? $this->writesPerDay()
            : self::written(array_filter($this->jobs, fn (Job $job): bool => $job->needsDisk));
    }

    /** @param  array<Job>  $jobs */
    private static function written(array $jobs): Bytes
    {
        return array_reduce($jobs, fn (Bytes $sum, Job $job): Bytes => $sum->plus($job->writesPerDay), Bytes::of(0));
    }

    /** @return list<Peripheral> */
    public function peripherals(): array
    {
        return array_merge($this->plugged, ...array_map(fn (Job $job): array => $job->peripherals, $this->jobs));
    }

    /** The socket adapter that makes a wired link where the board has none. */
    public function networkAdapter(): ?Adapter
    {
        return $this->link === LinkKind::UsbWired ? $this->small->cheapest(AdapterKind::Network) : null;
    }

    /** Line rate of the chosen link, in Mb/s; null when the box would not have it. */
    public function megabits(): ?float
    {
        return $this->link === LinkKind::UsbWired
            ? $this->networkAdapter()?->megabits
            : $this->board->megabits($this->link);
    }

    /** The powered hub: the chosen one, or the cheapest when there are more devices than sockets. */
    public function hub(): ?Adapter
    {
        if ($this->hub !== null) {
            return $this->hub;
        }

        return count(UsbDevices::of($this)->list) > $this->board->usbCount
            ? $this->small->cheapest(AdapterKind::Hub)
            : null;
    }

    /** The desk computer has no slot for the card that the board starts from. */
    public function needsReader(): bool
    {
        return $this->desk !== null && ! $this->desk->cardSlot && ! $this->startsFromDrive();
    }

    /** Type of power over Ethernet that the box takes, of its own or by an add-on. */
    public function poeType(): ?int
    {
        return $this->board->poeType ?? $this->addOn?->poeType;
    }
}
