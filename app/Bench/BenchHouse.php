<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Network;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/** The household's network as the bench is told it, so that its router lends out addresses of this house. */
final readonly class BenchHouse
{
    /** Longest prefix in which router, a pool and boards find room. */
    private const SMALLEST = 28;

    /** A house is no larger than the largest of the private networks (RFC 1918). */
    private const LARGEST = 8;

    /** Addresses of a pool that was nowhere said, at most. */
    private const POOL = 100;

    /** The bench's own network, where the house has no room for boards. */
    private const OWN = '172.22.8.0/24';

    public function __construct(private BenchClient $bench)
    {
    }

    /** The network in which boards of the bench are: the household's, or the bench's own. */
    public static function prefix(Network $network): Prefix
    {
        $prefix = Prefix::tryParse((string) $network->prefix);

        return $prefix !== null && self::hasRoom($prefix) ? $prefix : Prefix::parse(self::OWN);
    }

    private static function hasRoom(Prefix $prefix): bool
    {
        return $prefix->length <= self::SMALLEST && $prefix->length >= self::LARGEST;
    }

    /**
     * @return ?string why the bench goes on with a network of its own; null when it has the household's
     *
     * @throws BenchAway
     */
    public function tell(Network $network): ?string
    {
        $told = self::described($network);
        if ($told === null) {
            return "The network {$network->prefix} is too small for the bench, which uses its own: ".self::OWN.'.';
        }
        $this->bench->ask(['do' => 'network', 'network' => $told]);

        return null;
    }

    /** After the network was described anew; where no bench runs there is nobody to tell. */
    public function follow(Network $network): void
    {
        try {
            $this->bench->isThere() && $this->tell($network);
        } catch (BenchAway) {
            // It is told when the next card is put in.
        }
    }

    /** @return ?array{router: string, first: string, last: string, bits: int} */
    private static function described(Network $network): ?array
    {
        $prefix = Prefix::tryParse((string) $network->prefix);
        if ($prefix === null || ! self::hasRoom($prefix)) {
            return null;
        }
        $hosts = $prefix->hosts();
        $within = fn (?string $text): ?Ipv4 => ($address = Ipv4::tryParse((string) $text)) !== null &&
            $prefix->contains($address)
                ? $address
                : null;
        $router = $within($network->router) ?? $hosts->first;
        $first = $within($network->pool_first);
        $last = $within($network->pool_last);
        if ($first === null || $last === null || $last->number < $first->number) {
            $last = $hosts->last;
            $room = intdiv($last->number - $hosts->first->number, 2);
            $first = $last->offset(-min(self::POOL, $room));
            // A router at the upper end stays out of it.
            $last = $router->number === $last->number ? $last->offset(-1) : $last;
        }

        return [
            'router' => (string) $router,
            'first' => (string) $first,
            'last' => (string) $last,
            'bits' => $prefix->length,
        ];
    }
}
