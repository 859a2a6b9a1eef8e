<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\CardKind;
use Burrow\Board\Drive;
use Burrow\Board\Enclosure;
use Burrow\Board\ImageKind;
use Burrow\Board\LinkKind;
use Burrow\Board\Supply;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Role\Peripheral;
use Burrow\Role\Role;

/** The choices of one plan: one or several jobs on one box, and its parts. */
final readonly class PlanInput
{
    /** @param  non-empty-list<Role>  $roles */
    public function __construct(
        public array $roles,
        public BoardClass $board,
        public Supply $supply,
        public Cable $cable,
        public ?Drive $drive,
        public LinkKind $link,
        public ImageKind $image,
        public CardKind $card,
        public Enclosure $case,
        public Circumstances $circumstances = new Circumstances,
    ) {
    }

    /** The same plan with some of its parts replaced; names are those of the constructor. */
    public function with(mixed ...$parts): self
    {
        return new self(...array_replace(get_object_vars($this), $parts));
    }

    public function needsDisk(): bool
    {
        return array_filter($this->roles, fn (Role $role): bool => $role->needsDisk) !== [];
    }

    /** Memory of all jobs when busy. */
    public function memoryOfJobs(): Bytes
    {
        return array_reduce($this->roles, fn (Bytes $sum, Role $role): Bytes => $sum->plus($role->memoryBusy), Bytes::of(0));
    }

    /** Written by all jobs in a day. */
    public function writesPerDay(): Bytes
    {
        return array_reduce($this->roles, fn (Bytes $sum, Role $role): Bytes => $sum->plus($role->writesPerDay), Bytes::of(0));
    }

    /** @return list<Peripheral> */
    public function peripherals(): array
    {
        return array_merge(...array_map(fn (Role $role): array => $role->peripherals, $this->roles));
    }

    /** Current that the jobs' peripherals take from the board. */
    public function peripheralCurrent(): Amps
    {
        return array_reduce($this->peripherals(), fn (Amps $sum, Peripheral $peripheral): Amps => $sum->plus($peripheral->current), Amps::of(0));
    }
}
