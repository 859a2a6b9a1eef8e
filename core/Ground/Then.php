<?php

declare(strict_types=1);

namespace Burrow\Ground;

use DateTimeImmutable;

/**
 * The house as it was on a day, from what the record kept: which boxes were in service, and what reached the surface.
 * Whether a box answered on that day is not kept, and not said.
 */
final readonly class Then
{
    /** Months that one can look back. */
    public const MONTHS = 36;

    /**
     * @param  list<string>  $boxes  names of those in service
     * @param  list<array{box: string, way: string}>  $ways  what led in from outside
     * @param  list<string>  $came  boxes in service today that were not
     * @param  list<string>  $went  boxes in service then that are not today
     * @param  list<array{box: string, way: string}>  $opened  ways that lead in today and did not
     * @param  list<array{box: string, way: string}>  $closed  ways that led in and do not today
     */
    private function __construct(
        public DateTimeImmutable $day,
        public array $boxes,
        public array $ways,
        public array $came,
        public array $went,
        public array $opened,
        public array $closed,
    ) {
    }

    /**
     * @param  DateTimeImmutable  $day  its end is meant
     * @param  list<array{name: string, from: DateTimeImmutable, to: ?DateTimeImmutable}>  $boxes  to: null while in
     *         service
     * @param  list<array{box: string, way: string, from: DateTimeImmutable, to: ?DateTimeImmutable}>  $ways
     */
    public static function of(DateTimeImmutable $day, DateTimeImmutable $now, array $boxes, array $ways): self
    {
        $end = min($day->setTime(23, 59, 59), $now);
        $names = fn (DateTimeImmutable $at): array => array_values(
            array_unique(
                array_column(array_filter($boxes, fn (array $one): bool => self::was($one, $at)), 'name'),
            ),
        );
        $led = fn (DateTimeImmutable $at): array => array_values(
            array_map(
                fn (array $one): array => ['box' => $one['box'], 'way' => $one['way']],
                array_filter($ways, fn (array $one): bool => self::was($one, $at)),
            ),
        );
        [$then, $today] = [$names($end), $names($now)];
        [$open, $opens] = [$led($end), $led($now)];
        $not = fn (array $some, array $others): array => array_values(
            array_filter($some, fn (array $one): bool => ! in_array($one, $others, true)),
        );

        return new self(
            $day,
            $then,
            $open,
            array_values(array_diff($today, $then)),
            array_values(array_diff($then, $today)),
            $not($opens, $open),
            $not($open, $opens),
        );
    }

    public function sentence(): string
    {
        $boxes = count($this->boxes);
        $ways = count($this->ways);

        return match (true) {
            $boxes === 0 => 'Nothing was in service.',
            default => ($boxes === 1 ? 'One box was' : "{$boxes} boxes were").
                ' in service, '.
                match ($ways) {
                    0 => 'and nothing reached the surface.',
                    1 => "and one way led in: {$this->ways[0]['way']} to {$this->ways[0]['box']}.",
                    default => "and {$ways} ways led in.",
                },
        };
    }

    /** @param  array{from: DateTimeImmutable, to: ?DateTimeImmutable}  $one */
    private static function was(array $one, DateTimeImmutable $at): bool
    {
        return $one['from'] <= $at && ($one['to'] === null || $one['to'] > $at);
    }
}
