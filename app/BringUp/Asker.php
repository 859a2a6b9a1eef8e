<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Box;
use App\Probe\HostKeyProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\Step\Asking;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\NotAsked;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;

/** Asks the network for one box: its ports, its host key, and the router's list where that can be read from here. */
final readonly class Asker implements Asking
{
    public function __construct(
        private Box $box,
        private TcpProbe $tcp,
        private HostKeyProbe $keys,
        private BenchClient $bench,
    ) {
    }

    public function door(Ipv4 $address, int $port): DoorState
    {
        return $this->tcp->ask(Target::of($this->box, $address, $port));
    }

    public function hostKey(Ipv4 $address): ?SshPublicKey
    {
        return $this->keys->ask(Target::of($this->box, $address, 22));
    }

    public function leases(): ?string
    {
        try {
            return $this->box->on_bench ? $this->bench->text('leases', 'text') : null;
        } catch (BenchAway $away) {
            throw new NotAsked(BringUpFindings::benchAway($away->getMessage()));
        }
    }
}
