<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\Intake\Leases\Lease;
use Burrow\Judgement\Finding;
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
        $new = array_values(array_filter($leases, fn (Lease $lease): bool => ! in_array((string) $lease->mac, $before, true)));
        $named = array_values(array_filter($leases, fn (Lease $lease): bool => strtolower($lease->name ?? '') === $name->label));
        if (count($named) === 1) {
            $isNew = in_array($named[0], $new, true) ? 'new in the list, and the name fits' : 'the name fits';

            return new self($named[0], Findings::of(Finding::fine('bringup.found', "Found at {$named[0]->address}: {$isNew}.")));
        }
        if (count($named) > 1) {
            return new self(
                null,
                Findings::of(
                    Finding::stop(
                        'bringup.two_of_that_name',
                        "Two machines call themselves {$name}.",
                        'One of them is an older card or another board.',
                        'Take the power from the other one.',
                    ),
                ),
            );
        }
        if (count($new) === 1) {
            $as = $new[0]->name === null ? 'without a name' : "as “{$new[0]->name}”";

            return new self(
                $new[0],
                Findings::of(
                    Finding::warn(
                        'bringup.other_name',
                        "One new machine is in the list, {$as}, at {$new[0]->address}.",
                        "It should call itself “{$name}”; the first-boot settings were probably not read.",
                        'Look over the card\'s user-data, and remote login may be refused.',
                    ),
                ),
            );
        }

        return new self(
            null,
            Findings::of(
                $new === []
                    ? Finding::warn(
                        'bringup.not_in_list',
                        "{$name} is not in the router's list yet.",
                        'It may still be starting; otherwise no cable, a weak supply, a card that was not written, or network-config that was not read.',
                        'Look at the lights of the network socket first: that costs nothing and tells most.',
                    )
                    : Finding::warn(
                        'bringup.several_new',
                        count($new).' machines are new in the list, and none is called '.$name.'.',
                        'A guess would lead to the wrong one.',
                        'Read the list again in a minute.',
                    ),
            ),
        );
    }
}
