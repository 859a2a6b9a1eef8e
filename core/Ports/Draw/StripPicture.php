<?php

declare(strict_types=1);

namespace Burrow\Ports\Draw;

use Burrow\Ports\Comparison;
use Burrow\Ports\Met;
use Burrow\Ports\Pair;
use Burrow\Ports\PortTable;

/** The ports of one box by number, on a logarithmic scale: labels in the order of their ports, with elbows to them. */
final readonly class StripPicture
{
    public const WIDTH = 1064.0;

    public const BAND = 62.0;

    private const LEFT = 10.0;

    private const RIGHT = 1054.0;

    private const LETTER = 6.5;

    /** Between two labels of a row. */
    private const GAP = 12.0;

    private const ROW = 18.0;

    /**
     * @param  list<StripLabel>  $labels
     * @param  list<array{x: float, label: string}>  $marks  decades
     * @param  array{from: float, to: float}  $outgoing  what the system hands out
     * @param  int  $more  ports that have a dot and no label
     */
    private function __construct(
        public array $labels,
        public array $marks,
        public array $outgoing,
        public float $user,
        public int $more,
    ) {
    }

    public static function of(Comparison $comparison): self
    {
        $ports = [];
        foreach ($comparison->pairs as $pair) {
            $ports[$pair->place()] ??= $pair;
        }
        $labels = [];
        $more = 0;
        /** @var list<array{float, float, float}> $above  from, to and elbow of the labels in the upper row */
        $above = [];
        /** @var list<array{float, float}> $below */
        $below = [];
        foreach ($ports as $pair) {
            if ($pair->met === Met::System) {
                $labels[] = new StripLabel(self::x($pair->port()), $pair->met->name);

                continue;
            }
            $at = self::x($pair->port());
            $text = self::text($pair);
            $width = (strlen((string) $pair->port()) + 1 + mb_strlen($text)) * self::LETTER;
            $high = self::upper($at, $width, $above, $below);
            $low = self::lower($at, $width, $above, $below);
            $chosen = self::nearer($at, $width, $high, $low);
            if ($chosen === null) {
                $more++;
                $labels[] = new StripLabel(self::x($pair->port()), $pair->met->name);

                continue;
            }
            [$x, $elbow] = $chosen;
            $upper = $chosen === $high;
            $upper ? ($above[] = [$x, $x + $width, $elbow]) : ($below[] = [$x, $x + $width]);
            $labels[] = new StripLabel(
                $at,
                $pair->met->name,
                $x,
                $elbow,
                $upper ? 14.0 : 14.0 + self::ROW,
                $width,
                (string) $pair->port(),
                $text,
            );
        }
        $marks = [];
        foreach ([1, 10, 100, 1000, 10000, 65535] as $mark) {
            $marks[] = ['x' => self::x($mark), 'label' => (string) $mark];
        }

        return new self(
            $labels,
            $marks,
            ['from' => self::x(PortTable::EPHEMERAL_FIRST), 'to' => self::x(PortTable::EPHEMERAL_LAST)],
            self::x(1024),
            $more,
        );
    }

    /** The band from 1 to 65535, each decade as wide as every other. */
    public static function x(int $port): float
    {
        return self::LEFT + ((self::RIGHT - self::LEFT) * log10(max(1, $port))) / log10(65535);
    }

    /**
     * Where a label of the upper row stands, and where its elbow goes down between those of the lower row.
     *
     * @param  list<array{float, float, float}>  $above
     * @param  list<array{float, float}>  $below
     * @return ?array{float, float} null where there is no room
     */
    private static function upper(float $at, float $width, array $above, array $below): ?array
    {
        $end = $above === [] ? self::LEFT : max(array_column($above, 1)) + self::GAP;
        $x = max($end, min($at - $width / 2, self::RIGHT - $width));
        if ($x + $width > self::RIGHT) {
            return null;
        }
        $elbow = max($x + 6, min($at, $x + $width - 6));
        foreach ($below as [$from, $to]) {
            if ($elbow > $from - 3 && $elbow < $to + 3) {
                $elbow = $to + 4;
            }
        }

        return $elbow <= $x + $width ? [$x, $elbow] : null;
    }

    /**
     * Where a label of the lower row stands between the elbows that come down from the upper one.
     *
     * @param  list<array{float, float, float}>  $above
     * @param  list<array{float, float}>  $below
     * @return ?array{float, float}
     */
    private static function lower(float $at, float $width, array $above, array $below): ?array
    {
        $x = max($below === [] ? self::LEFT : max(array_column($below, 1)) + self::GAP, $at - $width / 2);
        $x = min($x, max(self::LEFT, self::RIGHT - $width));
        foreach ($above as [, , $elbow]) {
            if ($elbow > $x - 4 && $elbow < $x + $width + 4) {
                $x = $elbow + 5;
            }
        }
        $crowded = $below !== [] && $x < max(array_column($below, 1)) + self::GAP;

        return $crowded || $x + $width > self::RIGHT ? null : [$x, max($x + 6, min($at, $x + $width - 6))];
    }

    /**
     * @param  ?array{float, float}  $high
     * @param  ?array{float, float}  $low
     * @return ?array{float, float}
     */
    private static function nearer(float $at, float $width, ?array $high, ?array $low): ?array
    {
        $shift = fn (?array $one): float => $one === null ? INF : abs($one[0] + $width / 2 - $at);

        return $shift($high) <= $shift($low) ? $high : $low;
    }

    private static function text(Pair $pair): string
    {
        $what = $pair->service->purpose ?? ($pair->heard->process ?? 'not known');
        $word = match ($pair->met) {
            Met::Unplanned => ', in no plan',
            Met::Silent => ', silent',
            default => '',
        };

        return mb_strimwidth($what, 0, 22, '…').$word;
    }
}
