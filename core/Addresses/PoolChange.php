<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\Room;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Net\AddressRange;

/** What it would do to hand out another range: who stands in the way, and what would be free. */
final readonly class PoolChange
{
    /** @param  list<Host>  $inTheWay  with an address of their own inside the new range, in order */
    private function __construct(
        public AddressRange $pool,
        public array $inTheWay,
        public int $freeNow,
        public int $freeThen,
    ) {
    }

    /** @return ?self null when the range does not lie among the network's own addresses */
    public static function of(DescribedNetwork $network, AddressRange $pool): ?self
    {
        if (
            ! $network->prefix->hosts()->contains($pool->first) ||
            ! $network->prefix->hosts()->contains($pool->last)
        ) {
            return null;
        }
        $then = $network->with([$pool]);
        $inTheWay = array_values(
            array_filter(
                $network->hosts,
                fn (Host $host): bool => $host->address !== null && $pool->contains($host->address),
            ),
        );
        if ($network->gateway !== null && $pool->contains($network->gateway)) {
            array_unshift($inTheWay, new Host('the router', $network->gateway, by: HeldBy::Static));
        }
        usort(
            $inTheWay,
            fn (Host $one, Host $other): int => ($one->address->number ?? 0) <=> ($other->address->number ?? 0),
        );

        return new self($pool, $inTheWay, Room::of($network)->free(), Room::of($then)->free());
    }

    public function working(): Working
    {
        return Working::of(
            'addresses.pool_change',
            'What the change would do',
            "{$this->freeThen} free beside it, now {$this->freeNow}",
            Source::standard('RFC 2131'),
            Line::given('handed out', (string) $this->pool, "{$this->pool->size()} addresses"),
            Line::computed('in the way', 'with an address of their own inside', (string) count($this->inTheWay)),
            Line::computed('free', 'neither handed out nor held', (string) $this->freeThen),
        );
    }
}
