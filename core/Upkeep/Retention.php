<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use DateTimeImmutable;

/**
 * Which of many copies are kept: the newest of each of the last days, weeks and months, so that copies grow rarer with
 * their age and their number stays bounded (grandfather, father, son: common practice).
 */
final readonly class Retention
{
    /**
     * @param  int  $days  days of which the newest copy is kept, this one included
     * @param  int  $weeks  ISO 8601 weeks, likewise
     * @param  int  $months  calendar months, likewise
     */
    public function __construct(private int $days = 7, private int $weeks = 5, private int $months = 12)
    {
    }

    /**
     * @param  array<string, DateTimeImmutable>  $copies  name => when it was made
     * @return list<string> names of those that may go, oldest first; the newest copy always stays
     */
    public function spare(array $copies): array
    {
        uasort($copies, fn (DateTimeImmutable $a, DateTimeImmutable $b): int => $b <=> $a);
        $keep = [];
        foreach (['Y-m-d' => $this->days, 'o-W' => $this->weeks, 'Y-m' => $this->months] as $step => $count) {
            $seen = [];
            foreach ($copies as $name => $made) {
                $period = $made->format($step);
                if (! isset($seen[$period]) && count($seen) < $count) {
                    $seen[$period] = true;
                    $keep[$name] = true;
                }
            }
        }

        return array_reverse(array_keys(array_diff_key($copies, $keep)));
    }
}
