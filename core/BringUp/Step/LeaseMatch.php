<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Intake\Leases\Lease;
use Burrow\Judgement\Findings;
use Burrow\Net\Hostname;

/** Singles out a new box in the router's list: by its name, or as the only one that was not there before. */
final readonly class LeaseMatch
{
    private function __construct(public ?Lease $lease, public Findings $findings)
    {
    }

    /**
     * @param  list<Lease>  $leases
     * @param  list<string>  $before  hardware addresses in the list before power-on
     */
    public static function find(Hostname $name, array $leases, array $before): self
    {
        // A run goes on by IPv4, and what the list says is over is nobody's.
        $leases = array_values(
            array_filter(
                $leases,
                fn (Lease $one): bool => $one->mac !== null && $one->isIpv4() && $one->holds(),
            ),
        );
        $new = array_values(
            array_filter($leases, fn (Lease $lease): bool => ! in_array($lease->mac, $before, true)),
        );
        $named = array_values(
            array_filter($leases, fn (Lease $lease): bool => strtolower($lease->name ?? '') === $name->label),
        );

        $fresh = array_values(array_filter($named, fn (Lease $lease): bool => in_array($lease, $new, true)));

        return match (true) {
            count($named) === 1 => new self(
                $named[0],
                Findings::of(SeenFindings::found($named[0], in_array($named[0], $new, true))),
            ),
            // All but one were there before the power came: a lease outlives the board that had it.
            count($fresh) === 1 => new self(
                $fresh[0],
                Findings::of(
                    SeenFindings::found($fresh[0], true),
                    SeenFindings::oldLeaseOfThatName($name),
                ),
            ),
            count($named) > 1 => new self(null, Findings::of(SeenFindings::twoOfThatName($name))),
            count($new) === 1 => new self($new[0], Findings::of(SeenFindings::otherName($name, $new[0]))),
            $new === [] => new self(null, Findings::of(SeenFindings::notInList($name))),
            default => new self(null, Findings::of(SeenFindings::severalNew($name, count($new)))),
        };
    }
}
