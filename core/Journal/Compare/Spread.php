<?php

declare(strict_types=1);

namespace Burrow\Journal\Compare;

use InvalidArgumentException;

/** How readings of one kind lie: the least, the middle one, the most. */
final readonly class Spread
{
    private function __construct(
        public int $count,
        public float $least,
        public float $middle,
        public float $most,
    ) {
    }

    /**
     * @param  list<float>  $values  in any order
     *
     * @throws InvalidArgumentException for none
     */
    public static function of(array $values): self
    {
        if ($values === []) {
            throw new InvalidArgumentException('There is no reading.');
        }
        sort($values);
        $count = count($values);
        $half = intdiv($count, 2);

        return new self(
            $count,
            $values[0],
            $count % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2,
            $values[$count - 1],
        );
    }

    /** Percent of a file system that is used; null for sizes that cannot be. */
    public static function percent(int $used, int $size): ?float
    {
        return $size > 0 && $used >= 0 && $used <= $size ? (100 * $used) / $size : null;
    }
}
