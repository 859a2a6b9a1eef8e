<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;

/** A prefix as a band from its first to its last address: the pool, the router and the boxes in their places. */
final readonly class AddressBand
{
    public const WIDTH = 1060;

    public const HEIGHT = 84;

    private const EDGE = 14;

    /**
     * @param  array{x: float, width: float}  $pool
     * @param  list<float>  $boxes
     */
    private function __construct(public array $pool, public float $router, public array $boxes)
    {
    }

    /** @param  list<Ipv4>  $held */
    public static function of(LocalNetwork $network, array $held): self
    {
        $scale = (self::WIDTH - 2 * self::EDGE) / $network->prefix->size();
        $at = fn (Ipv4 $address): float => self::EDGE +
            ($address->number - $network->prefix->network->number) * $scale;

        return new self(
            ['x' => $at($network->pool->first), 'width' => max(2, $network->pool->size() * $scale)],
            $at($network->router),
            array_map($at, array_values(array_filter($held, $network->prefix->contains(...)))),
        );
    }
}
