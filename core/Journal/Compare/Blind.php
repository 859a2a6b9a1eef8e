<?php

declare(strict_types=1);

namespace Burrow\Journal\Compare;

use InvalidArgumentException;

/**
 * Two things listened to without knowing which is which: how often somebody was right, and how often one is that right
 * who hears no difference (binomial test with one half, one-sided; Fisher 1935). What was heard may be anything that
 * two settings, boxes or cables are said to differ by.
 */
final readonly class Blind
{
    public const LEAST = 5;

    public const MOST = 40;

    /** @param  string  $played  one of A and B for each trial */
    private function __construct(public string $played)
    {
    }

    /** @throws InvalidArgumentException for fewer or more trials, or other letters */
    public static function played(string $played): self
    {
        return preg_match('/^[AB]{'.self::LEAST.','.self::MOST.'}$/D', $played) === 1
            ? new self($played)
            : throw new InvalidArgumentException(
                'A and B, '.self::LEAST.' to '.self::MOST.' of them.',
            );
    }

    public function trials(): int
    {
        return strlen($this->played);
    }

    /** What was typed as heard, without blanks and in capitals; null where it is not one letter for each trial. */
    public function heard(string $typed): ?string
    {
        $heard = strtoupper((string) preg_replace('/[\s,;.-]+/', '', $typed));

        return preg_match('/^[AB]+$/D', $heard) === 1 && strlen($heard) === $this->trials() ? $heard : null;
    }

    public function right(string $heard): int
    {
        $right = 0;
        for ($at = 0; $at < $this->trials(); $at++) {
            $right += $this->played[$at] === ($heard[$at] ?? '') ? 1 : 0;
        }

        return $right;
    }

    /** The share of those who hear nothing that are right so often or oftener. */
    public static function odds(int $trials, int $right): float
    {
        $ways = 1.0;
        $sum = $right <= 0 ? 1.0 : 0.0;
        for ($k = 1; $k <= $trials; $k++) {
            $ways *= ($trials - $k + 1) / $k;
            $sum += $k >= $right ? $ways : 0.0;
        }

        return min(1.0, $sum / 2 ** $trials);
    }

    /** The least number of right ones that is seldom chance (5 of 100); null where even all would not be. */
    public static function needed(int $trials): ?int
    {
        for ($right = 0; $right <= $trials; $right++) {
            if (self::odds($trials, $right) < 0.05) {
                return $right;
            }
        }

        return null;
    }

    public function sentence(string $heard): string
    {
        $right = $this->right($heard);
        $odds = self::odds($this->trials(), $right);
        $once = $odds >= 0.5 ? 'more often than not' : 'once in '.(int) round(1 / $odds).' tries';

        return "{$right} of {$this->trials()} right. Somebody who hears no difference is that good or better {$once}: ".
            match (true) {
                $odds < 0.01 => 'a difference was heard, hardly by chance.',
                $odds < 0.05 => 'a difference was probably heard; repeat it on another day.',
                default => 'that shows no difference. It does not show that there is none.',
            };
    }
}
