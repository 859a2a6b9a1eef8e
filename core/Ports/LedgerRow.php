<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Access;
use Burrow\Household\DoorState;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;

/** A port of a box in the ledger: what was planned, what was heard, who reaches it, and what is wrong with it. */
final readonly class LedgerRow
{
    /**
     * @param  WhoReaches  $reach  as it is, with the openings of the router
     * @param  bool  $cracked  another service of the box wants the same place
     */
    public function __construct(
        public string $box,
        public Pair $pair,
        public WhoReaches $reach,
        public bool $cracked,
    ) {
    }

    public function number(): int
    {
        return $this->pair->port();
    }

    public function service(): ?Service
    {
        return $this->pair->service;
    }

    public function access(): ?Access
    {
        return $this->pair->service?->access;
    }

    public function purpose(): string
    {
        return $this->pair->service->purpose ?? ($this->pair->heard->process ?? 'not known');
    }

    public function isUnplanned(): bool
    {
        return $this->pair->service === null;
    }

    /** It was heard not to listen, or where nothing was listed, did not answer when it was asked. */
    public function isSilent(): bool
    {
        $state = $this->pair->service?->state;

        return $this->pair->met === Met::Silent ||
            ($this->pair->met === Met::NotAsked && $state !== null && $state !== DoorState::Open);
    }

    /** What is wrong with it, in a few words; empty where nothing is. */
    public function trouble(): string
    {
        return match (true) {
            $this->cracked => 'two want it',
            $this->access()?->isOpenToAll() === true => $this->access()->label(),
            $this->isUnplanned() => 'in no plan',
            $this->pair->met === Met::Silent => 'does not listen',
            $this->isSilent() => 'does not answer',
            $this->pair->met === Met::Wider, $this->pair->met === Met::ForItselfOnly => $this->pair->met
                ->value,
            default => '',
        };
    }

    /** 0 for the worst; those of one rank stand by their numbers. */
    public function rank(): int
    {
        return match (true) {
            $this->cracked => 0,
            $this->access()?->isOpenToAll() === true => 1,
            $this->isUnplanned() && $this->reach !== WhoReaches::Box => 2,
            $this->isSilent() => 3,
            $this->trouble() !== '' => 4,
            default => 5,
        };
    }
}
