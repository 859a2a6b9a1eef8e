<?php

declare(strict_types=1);

namespace App\Probe;

use App\Bench\BenchHouse;
use App\Models\Box;
use App\Models\Network;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/**
 * Where a question goes out to. Only addresses of the box's own network are ever asked; a box on the bench is
 * asked at its stand-in on loopback with its ports raised.
 */
final readonly class Target
{
    /** A board that runs on the bench holds this port open, raised like all others. */
    private const ECHO = 7;

    /**
     * @param  ?int  $presence  on loopback the kernel refuses in the name of machines that are not there, and a program
     *                          that listens on every address accepts in their name; so an answer only counts when this
     *                          port of the same host is open
     */
    private function __construct(public string $host, public int $port, public ?int $presence = null)
    {
    }

    /** @throws OutsideTheHouse when the network in the database does not cover the address */
    public static function of(Box $box, Ipv4 $address, int $port): self
    {
        $house = $box->on_bench
            ? BenchHouse::prefix($box->network)
            : Prefix::tryParse($box->network->prefix);
        if ($house?->contains($address) !== true || ! $address->isPrivate()) {
            throw new OutsideTheHouse($address);
        }

        $offset = config()->integer('burrow.bench_offset');

        return $box->on_bench
            ? new self((string) $address->onLoopback(), $port + $offset, self::ECHO + $offset)
            : new self((string) $address, $port);
    }

    /**
     * A port of any address in the household's network, whosever it is.
     *
     * @param  bool  $onBench  at its stand-in on loopback
     *
     * @throws OutsideTheHouse when the network in the database does not cover the address
     */
    public static function in(Network $network, Ipv4 $address, int $port, bool $onBench): self
    {
        $box = new Box(['on_bench' => $onBench]);
        $box->setRelation('network', $network);

        return self::of($box, $address, $port);
    }

    /** The question whether the machine is there at all; null where any answer says that. */
    public function presence(): ?self
    {
        return $this->presence === null ? null : new self($this->host, $this->presence);
    }
}
