<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Illuminate\Database\Eloquent\Collection;

/**
 * The networks of the house: the one that it began with, whose row also holds what is so of the whole house, and
 * further ones. A box belongs to the network that its address lies in.
 */
final class Networks
{
    /** More than a house has. */
    public const MOST = 16;

    private const BESIDE = 'beside';

    private function __construct()
    {
    }

    /** @return Collection<int, Network> the home network first */
    public static function all(): Collection
    {
        return Network::query()->orderBy('id')->limit(self::MOST)->get();
    }

    /** The home network with all of them beside it, read at once: for pages that want both. */
    public static function home(): Network
    {
        $all = self::all();

        return $all->firstOrFail()->setRelation(self::BESIDE, $all);
    }

    /** @return Collection<int, Network> all of them, read again only where they were not read with the home network */
    public static function beside(Network $home): Collection
    {
        $all = $home->relationLoaded(self::BESIDE) ? $home->getRelation(self::BESIDE) : null;

        return $all instanceof Collection ? $all : self::all();
    }

    /** Where an address lies: in the own network if that covers it, else in the narrowest that does. */
    public static function covering(Ipv4 $address, ?Network $own): ?Network
    {
        $covers = fn (Network $one): bool => Prefix::tryParse($one->prefix)?->contains($address) === true;
        if ($own !== null && $covers($own)) {
            return $own;
        }

        return self::all()
            ->filter($covers)
            ->sortByDesc(fn (Network $one): int => Prefix::parse($one->prefix)->length)
            ->first();
    }

    /** The network whose books a typed address is looked up in: where it lies, else the box's own. */
    public static function of(Box $box, string $address): Network
    {
        $typed = Ipv4::tryParse($address);

        return ($typed === null ? null : self::covering($typed, $box->network)) ?? $box->network;
    }

    /** After a network came, changed or went: every box is put to the one that covers its address. */
    public static function settle(): void
    {
        foreach (Box::query()->whereNotNull('address')->with('network')->orderBy('id')->lazy() as $box) {
            $address = $box->ipv4();
            $lies = $address === null ? null : self::covering($address, $box->network);
            // Two at one address were in no network's books before, and are told there now.
            if (
                $lies !== null &&
                $lies->id !== $box->network_id &&
                $lies->boxes()->where('address', $box->address)->doesntExist()
            ) {
                $box->update(['network_id' => $lies->id]);
            }
        }
    }
}
