<?php

declare(strict_types=1);

namespace Burrow\Addresses\Draw;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Room;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;

/**
 * A network as a band from its first to its last address, folded into shelves: what is handed out, what is free as a
 * run that can be used, and pegs where somebody stands, with their names above as far as there is room.
 */
final readonly class AddressBand
{
    public const WIDTH = 1060;

    /** Left of each shelf, for its first address. */
    private const EDGE = 112;

    private const RIGHT = 14;

    private const BAND = 22;

    private const LINE = 15;

    private const SPACE = 12;

    /** Addresses on a shelf while the network is small. */
    private const ON_SHELF = 64;

    private const SHELVES = 8;

    private const LEVELS = 7;

    private const APART = 6;

    private const LETTER = 7.3;

    /** A run with less room than this says nothing in it. */
    private const TOLD = 64;

    /** Nearer pegs are drawn as one. */
    private const NEAR = 2.0;

    /** @param  list<Shelf>  $shelves */
    private function __construct(public array $shelves, public float $height)
    {
    }

    /** @param  list<Standing>  $standing  who has which address, in any order */
    public static function of(DescribedNetwork $network, array $standing, ?Room $room = null): self
    {
        $prefix = $network->prefix;
        $each = max(
            intdiv($prefix->size() + self::SHELVES - 1, self::SHELVES),
            min($prefix->size(), self::ON_SHELF),
        );
        usort(
            $standing,
            fn (Standing $one, Standing $other): int => $one->address->number <=> $other->address->number,
        );
        $room ??= Room::of($network);
        $shelves = [];
        $y = 0.0;
        $next = 0;
        for ($from = 0; $from < $prefix->size(); $from += $each) {
            $part = AddressRange::between(
                $prefix->network->offset($from),
                $prefix->network->offset(min($prefix->size(), $from + $each) - 1),
            );
            $here = [];
            while ($next < count($standing) && $standing[$next]->address->number <= $part->last->number) {
                if ($part->contains($standing[$next]->address)) {
                    $here[] = $standing[$next];
                }
                $next++;
            }
            $scale = (self::WIDTH - self::EDGE - self::RIGHT) / $each;
            [$pegs, $levels] = self::pegs($part->first, $here, $scale);
            $top = $y + $levels * self::LINE + ($levels > 0 ? 4 : 0);
            $shelves[] = new Shelf(
                $part,
                $top,
                round($part->size() * $scale, 1),
                self::runs($part, $network->pools, $scale),
                self::runs($part, $room->within($part)->gaps, $scale),
                $pegs,
            );
            $y = $top + self::BAND + self::SPACE;
        }

        return new self($shelves, $y);
    }

    public function bandHeight(): int
    {
        return self::BAND;
    }

    public function edge(): int
    {
        return self::EDGE;
    }

    /** Where a name on this level stands: level 1 is right above the band. */
    public static function nameY(Shelf $shelf, int $level): float
    {
        return $shelf->y - 5 - ($level - 1) * self::LINE;
    }

    /**
     * @param  list<AddressRange>  $ranges
     * @return list<Run>
     */
    private static function runs(AddressRange $part, array $ranges, float $scale): array
    {
        $runs = [];
        foreach ($ranges as $range) {
            $first = max($range->first->number, $part->first->number);
            $last = min($range->last->number, $part->last->number);
            if ($first <= $last) {
                $width = ($last - $first + 1) * $scale;
                $runs[] = new Run(
                    AddressRange::between(Ipv4::fromNumber($first), Ipv4::fromNumber($last)),
                    round(self::EDGE + ($first - $part->first->number) * $scale, 1),
                    round(max(1, $width), 1),
                    $width >= self::TOLD,
                );
            }
        }

        return $runs;
    }

    /**
     * @param  list<Standing>  $here  in the order of their addresses
     * @return array{list<Peg>, int} and how many lines of names stand above
     */
    private static function pegs(Ipv4 $from, array $here, float $scale): array
    {
        $places = [];
        $last = -self::NEAR;
        foreach ($here as $one) {
            $x = self::EDGE + ($one->address->number - $from->number + 0.5) * $scale;
            if ($x - $last >= self::NEAR || $one->kind === StandingKind::Clash) {
                $places[] = [$one, round($x, 1)];
                $last = $x;
            }
        }
        $pegs = [];
        $most = 0;
        // A name begins at its peg and stands above all that it reaches over, so that no stem crosses a name.
        foreach (array_reverse($places) as [$one, $x]) {
            $reaches = $x + mb_strlen($one->name) * self::LETTER + self::APART;
            $level = 1;
            for ($right = count($pegs) - 1; $right >= 0 && $pegs[$right]->x < $reaches; $right--) {
                $level = (int) max($level, $pegs[$right]->level + 1);
            }
            $level = $level > self::LEVELS || $reaches > self::WIDTH + self::APART ? 0 : $level;
            $most = $level > $most ? $level : $most;
            $pegs[] = new Peg($one, $x, $level);
        }

        return [array_reverse($pegs), $most];
    }
}
