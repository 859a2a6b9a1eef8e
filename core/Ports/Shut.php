<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Concern;
use Burrow\Household\DoorState;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Judgement\Findings;

/** Ports that a job promised and that are not open while their box answers. */
final readonly class Shut implements Concern
{
    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->standing() as $box) {
            $shut = array_filter(
                $house->services($box),
                fn (Service $service): bool => $service->state !== null && $service->state !== DoorState::Open,
            );
            if ($shut !== [] && $box->is(HearingState::Answers)) {
                $findings[] = PortFindings::shut(
                    $box->name,
                    array_map($this->words(...), array_values($shut)),
                );
            }
        }

        return Findings::of(...$findings);
    }

    private function words(Service $service): string
    {
        $port = "{$service->port->number} {$service->protocol->value}";

        return "{$port}, {$service->purpose}: {$service->state?->value}";
    }

    public function isForGuests(): bool
    {
        return true;
    }
}
