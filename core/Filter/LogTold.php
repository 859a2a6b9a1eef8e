<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Judgement\Finding;

/** What a household was told of the log of its questions. */
enum LogTold: string
{
    case Nothing = 'nothing';
    case Counts = 'counts';
    case Week = 'week';
    case Month = 'month';
    case Kept = 'kept';

    public function label(): string
    {
        return match ($this) {
            self::Nothing => 'that nothing is logged',
            self::Counts => 'that it is counted, without names',
            self::Week => 'who asked what, kept for a week',
            self::Month => 'who asked what, kept for a month',
            self::Kept => 'who asked what, kept until somebody deletes it',
        };
    }

    /**
     * @param  int  $queries  in the log
     * @param  ?float  $days  from its first to its last line; null where it has no dates
     * @return ?Finding null where the log holds no more than was told
     */
    public function against(int $queries, ?float $days): ?Finding
    {
        return match (true) {
            $queries === 0, $this === self::Kept => null,
            $this === self::Nothing || $this === self::Counts => FilterFindings::logSaysMore(
                'who asked what',
                $this->label(),
            ),
            $days !== null && $days > ($this === self::Week ? 8 : 32) => FilterFindings::logSaysMore(
                'what was asked in '.round($days).' days',
                $this->label(),
            ),
            default => null,
        };
    }
}
