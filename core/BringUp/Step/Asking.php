<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Seen\Greeting;
use Burrow\BringUp\Seen\PageSeen;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Protocol;
use Burrow\Net\SshPublicKey;

/**
 * The network, as the checks of a run ask it. Each question ends in NotAsked where the address is outside of the house:
 * it was not asked then, and nothing is said of it.
 */
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

    /** The IPv4 address of a name, asked of one resolver alone. */
    public function lookup(Ipv4 $resolver, string $name, Protocol $over): NameAnswer;

    /** A page as it is first answered, redirects not followed; null when nothing that speaks HTTP answered. */
    public function page(Ipv4 $address, int $port, string $path, bool $tls): ?PageSeen;

    /**
     * The first bytes that a TCP service says to this greeting; null when nobody answered.
     *
     * @param  string  $path  of a picture; others have none
     * @return ?string at most 4096 bytes
     */
    public function greeting(Ipv4 $address, int $port, Greeting $greeting, string $path): ?string;
}
