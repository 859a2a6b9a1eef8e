<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Household\Kept;
use App\Models\Network;
use App\Models\Networks;
use App\View\Pages;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\Room;
use Burrow\Addresses\Draw\AddressBand;
use Burrow\Addresses\NetworkRules;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use stdClass;

/** What the page of a network's addresses shows: what is free, who stands where, what speaks against it. */
final readonly class AddressesPage
{
    /**
     * @param  ?Ipv4  $next  that is offered
     * @param  bool  $haveKeys  whether a host key of any box is kept whole
     * @param  list<stdClass>  $boxes  rows of one page
     * @param  int  $of  rows of all pages
     */
    private function __construct(
        public Room $room,
        public ?Ipv4 $next,
        public Findings $findings,
        public AddressBand $band,
        public bool $haveKeys,
        public array $boxes,
        public int $of,
    ) {
    }

    /** As it was worked out since the last change. */
    public static function kept(
        Kept $kept,
        HouseNetworks $networks,
        Network $network,
        bool $keeper,
        int $page,
    ): self {
        return $kept->of(
            "addresses {$network->id} {$page} ".(int) $keeper,
            self::class,
            fn (): self => self::of($networks, $network, $keeper, $page),
        );
    }

    private static function of(HouseNetworks $networks, Network $network, bool $keeper, int $page): self
    {
        $described = $networks->described($network, $keeper);
        $others = Networks::all()->where('id', '!=', $network->id);
        $room = Room::of($described);
        $boxes = $networks->boxes($network);

        return new self(
            $room,
            $room->next($room->firstOffered($described)),
            NetworkRules::against([
                $described,
                ...array_values(
                    $others
                        ->map(fn (Network $one): DescribedNetwork => $networks->described($one, $keeper))
                        ->all(),
                ),
            ]),
            AddressBand::of($described, $networks->standing($network, $keeper), $room),
            array_filter($described->hosts, fn (Host $host): bool => $host->keys !== []) !== [],
            array_slice($boxes, ($page - 1) * Pages::ROWS, Pages::ROWS),
            count($boxes),
        );
    }
}
