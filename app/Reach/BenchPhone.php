<?php

declare(strict_types=1);

namespace App\Reach;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Network;
use App\Probe\Target;
use App\Probe\TcpProbe;
use App\Probe\UdpProbe;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use InvalidArgumentException;

/** A phone on the bench that stands outside of the house, with a connection of its own. */
final readonly class BenchPhone
{
    public function __construct(private BenchClient $bench, private TcpProbe $tcp, private UdpProbe $udp)
    {
    }

    public function isThere(): bool
    {
        return $this->bench->isThere();
    }

    /**
     * Tries one port of the house from outside.
     *
     * @return ?bool  whether it answered; null where silence tells nothing, as with UDP that keeps silent to strangers
     *
     * @throws BenchAway
     */
    public function tries(Network $network, int $port, string $protocol): ?bool
    {
        $to =
            $this->bench->ask(['do' => 'outside', 'port' => $port, 'protocol' => $protocol])['leads_to'] ??
            null;
        $address = is_array($to) && is_string($to['address'] ?? null) ? Ipv4::tryParse($to['address']) : null;
        $inside = is_array($to) && is_int($to['port'] ?? null) ? $to['port'] : 0;
        if ($address === null || $inside < 1) {
            return false;
        }
        try {
            $target = Target::in($network, $address, $inside, true);
        } catch (InvalidArgumentException) {
            return false;
        }
        $state = $protocol === 'udp' ? $this->udp->ask($target, $inside) : $this->tcp->ask($target);

        return match (true) {
            $state === DoorState::Open => true,
            $protocol === 'udp' && $state === DoorState::Silent => null,
            default => false,
        };
    }
}
