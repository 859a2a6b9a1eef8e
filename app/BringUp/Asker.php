<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Box;
use App\Probe\GreetingProbe;
use App\Probe\HostKeyProbe;
use App\Probe\NameProbe;
use App\Probe\OutsideTheHouse;
use App\Probe\PageProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\Seen\Greeting;
use Burrow\BringUp\Seen\PageSeen;
use Burrow\BringUp\Step\Asking;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\NotAsked;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Protocol;
use Burrow\Net\SshPublicKey;

/** Asks the network for one box: its ports, its host key, and the router's list where that can be read from here. */
final readonly class Asker implements Asking
{
    public function __construct(
        private Box $box,
        private TcpProbe $tcp,
        private HostKeyProbe $keys,
        private BenchClient $bench,
        private NameProbe $names,
        private PageProbe $pages,
        private GreetingProbe $greetings,
    ) {
    }

    public function door(Ipv4 $address, int $port): DoorState
    {
        return $this->tcp->ask($this->target($address, $port));
    }

    public function hostKey(Ipv4 $address): ?SshPublicKey
    {
        return $this->keys->ask($this->target($address, 22));
    }

    public function leases(): ?string
    {
        try {
            return $this->box->on_bench ? $this->bench->text('leases', 'text') : null;
        } catch (BenchAway $away) {
            throw new NotAsked(BringUpFindings::benchAway($away->getMessage()));
        }
    }

    public function lookup(Ipv4 $resolver, string $name, Protocol $over): NameAnswer
    {
        return $this->names->ask($this->target($resolver, 53), $name, $over);
    }

    public function page(Ipv4 $address, int $port, string $path, bool $tls): ?PageSeen
    {
        // On loopback a port may answer in the name of a box that is not there; the door knows.
        return $this->door($address, $port) === DoorState::Open
            ? $this->pages->ask($this->target($address, $port), $path, $tls)
            : null;
    }

    public function greeting(Ipv4 $address, int $port, Greeting $greeting, string $path): ?string
    {
        return $this->door($address, $port) === DoorState::Open
            ? $this->greetings->ask($this->target($address, $port), $greeting, $path)
            : null;
    }

    /** @throws NotAsked for an address outside of the house: the step says so, and stays as it is */
    private function target(Ipv4 $address, int $port): Target
    {
        try {
            return Target::of($this->box, $address, $port);
        } catch (OutsideTheHouse $outside) {
            throw new NotAsked(BringUpFindings::outsideTheHouse($outside->address));
        }
    }
}
