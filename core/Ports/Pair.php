<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Heard;
use Burrow\Household\Service;

/** A port of the record with what was heard of it; one of the two may be missing. */
final readonly class Pair
{
    public function __construct(public Met $met, public ?Service $service, public ?Heard $heard)
    {
    }

    public function port(): int
    {
        return $this->service?->port->number ?? ($this->heard?->port->number ?? 0);
    }

    /** "8086/tcp" */
    public function place(): string
    {
        return $this->service?->place() ?? ($this->heard?->place() ?? '');
    }

    /** What to do about it; empty where nothing is to be done. */
    public function advice(): string
    {
        return match ($this->met) {
            Met::AsPlanned, Met::System => '',
            Met::ForItselfOnly => 'Its own settings name the address it binds to; nobody else reaches it as it is.',
            Met::Wider => 'Bind it to 127.0.0.1 in its settings, or write down that others reach it.',
            Met::Silent => 'Look whether its service runs (systemctl --failed), or take it out of the record.',
            Met::Unplanned => $this->heard?->process === null
                ? 'List again as administrator (sudo) to see which program holds it; then write it down or stop it.'
                : "Write it down, or stop {$this->heard->process} and keep it from starting.",
            Met::NotAsked => 'Paste what ss -tulpn prints on the box.',
        };
    }
}
