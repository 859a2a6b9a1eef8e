<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;

/** The network, as the checks of a run ask it. */
interface Asking
{
    public function door(Ipv4 $address, int $port): DoorState;

    /** The key shown on port 22; null when there is none. */
    public function hostKey(Ipv4 $address): ?SshPublicKey;

    /**
     * The router's list where it can be read from here, as text; null where a person has to paste it.
     *
     * @throws NotAsked with the reason, when it should be readable and is not
     */
    public function leases(): ?string;
}
