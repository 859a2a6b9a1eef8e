<?php

declare(strict_types=1);

namespace Burrow\Ports\Draw;

use Burrow\Household\Access;
use Burrow\Household\WhoReaches;
use Burrow\Ports\LedgerRow;

/**
 * All ports of the house in four strata by who reaches them: the nearer to the surface, the nearer to the internet.
 * Columns are fixed, strata grow by rows, the picture grows downwards.
 */
final readonly class PortsPicture
{
    public const WIDTH = 786.0;

    public const CHIP = 155.0;

    public const TALL = 44.0;

    private const LEFT = 126.0;

    private const COLUMNS = 4;

    private const GAP = 8.0;

    /** Sky, turf and the course of stones. */
    public const SKY = 70.0;

    /** Rows of one stratum; what does not fit is in the table, and the last chip says how much. */
    private const ROWS = 6;

    /** Widths of letters at the sizes of a chip's two lines, and of the numbers in the first. */
    private const LETTER = 7.6;

    private const SMALL = 6.3;

    private const DIGIT = 8.0;

    private const STRATA = [
        'world' => ['World', 'anybody outside'],
        'tunnel' => ['Tunnel, house', 'keys, and the house'],
        'house' => ['House', 'whoever is in it'],
        'box' => ['This box only', 'nobody else'],
    ];

    /**
     * @param  list<Stratum>  $strata
     * @param  list<array{x: float, y: float, lid: bool, label: string}>  $shafts  from the surface to a chip
     */
    private function __construct(public float $height, public array $strata, public array $shafts)
    {
    }

    /** @param  list<LedgerRow>  $rows  worst first */
    public static function of(array $rows): self
    {
        $by = array_fill_keys(array_keys(self::STRATA), []);
        foreach ($rows as $row) {
            $by[$row->reach === WhoReaches::Some ? WhoReaches::House->value : $row->reach->value][] = $row;
        }
        $y = self::SKY;
        $strata = [];
        $shafts = [];
        foreach (self::STRATA as $id => [$name, $under]) {
            $ports = self::stacked($by[$id]);
            $room = self::ROWS * self::COLUMNS;
            $more = count($ports) > $room ? count($ports) - $room + 1 : 0;
            $shown = $more > 0 ? array_slice($ports, 0, $room - 1) : $ports;
            $rows = max(1, (int) ceil((count($shown) + ($more > 0 ? 1 : 0)) / self::COLUMNS));
            $chips = [];
            foreach ($shown as $at => $port) {
                $chip = self::chip(
                    $port,
                    self::x($at),
                    $y + self::GAP + intdiv($at, self::COLUMNS) * (self::TALL + self::GAP),
                );
                $chips[] = $chip;
                if ($id === 'world') {
                    $shafts[] = [
                        'x' => $chip->x + self::CHIP / 2,
                        'y' => $chip->y,
                        'lid' => $port[0]->access() === Access::KeysOnly,
                        'label' => $chip->told,
                    ];
                }
            }
            $height = $rows * (self::TALL + self::GAP) + self::GAP;
            $strata[] = new Stratum(
                $id,
                $name,
                $under,
                count($by[$id]),
                $y,
                $height,
                $chips,
                $more,
                self::x(count($shown)),
                $y + self::GAP + intdiv(count($shown), self::COLUMNS) * (self::TALL + self::GAP),
            );
            $y += $height;
        }

        // A shaft ends in the first row of its stratum; those below are reached through it.
        return new self(
            $y,
            $strata,
            array_values(array_filter($shafts, fn (array $one): bool => $one['y'] < self::SKY + self::TALL)),
        );
    }

    private static function x(int $at): float
    {
        return self::LEFT + ($at % self::COLUMNS) * (self::CHIP + self::GAP);
    }

    /**
     * The same port for the same purpose and with the same wall and door on several boxes is one chip, and so are two
     * services of one box that want one place.
     *
     * @param  list<LedgerRow>  $rows
     * @return list<non-empty-list<LedgerRow>>
     */
    private static function stacked(array $rows): array
    {
        $by = [];
        foreach ($rows as $row) {
            $key = $row->cracked
                ? "{$row->box} {$row->pair->place()}"
                : "{$row->pair->place()} {$row->purpose()} {$row->trouble()} {$row->access()?->value}";
            $by[$key][] = $row;
        }

        return array_values($by);
    }

    /** @param  non-empty-list<LedgerRow>  $rows */
    private static function chip(array $rows, float $x, float $y): Chip
    {
        $first = $rows[0];
        $boxes = array_values(array_unique(array_map(fn (LedgerRow $row): string => $row->box, $rows)));
        $purpose = implode(
            ', ',
            array_unique(array_map(fn (LedgerRow $row): string => $row->purpose(), $rows)),
        );
        $count = count($boxes);
        $number = (string) $first->number();
        // The door stands at the left, and the marks of a stack at the right.
        $room = self::CHIP - 34 - 8;
        $name = self::cut(
            $count === 1 ? $boxes[0] : "on {$count} boxes",
            $room - strlen($number) * self::DIGIT - 6,
            self::LETTER,
        );
        $word = $first->trouble();
        // What is wrong is told whole; the purpose gives way.
        $under =
            $word === ''
                ? self::cut($purpose, $room, self::SMALL)
                : trim(
                    self::cut($purpose, $room - (strlen($word) + 2) * self::SMALL, self::SMALL, 4).
                        ", {$word}",
                    ', ',
                );
        $access = $first->access()?->label() ?? 'access not asked';

        return new Chip(
            $x,
            $y,
            $number,
            $name,
            $under,
            $first->isUnplanned() ? 'unplanned' : ($first->isSilent() ? 'silent' : 'planned'),
            $first->access()->value ?? '',
            $first->cracked,
            $count,
            "{$number} on ".
                implode(', ', $boxes).
                ": {$purpose}; {$access}".
                ($word === '' ? '' : "; {$word}"),
            $first->service() === null ? '' : "port-{$first->service()->id}",
        );
    }

    /** @param  int  $least  letters below which a cut word says nothing */
    private static function cut(string $text, float $room, float $letter, int $least = 1): string
    {
        $letters = (int) floor($room / $letter);

        return match (true) {
            mb_strlen($text) <= $letters => $text,
            $letters < $least => '',
            default => rtrim(mb_substr($text, 0, max(1, $letters - 1))).'…',
        };
    }
}
