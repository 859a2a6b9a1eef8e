<?php

declare(strict_types=1);

namespace Burrow\Filter\Rollout;

use Burrow\Filter\FilterFindings;
use Burrow\Judgement\Finding;

/** What the filter's own counter showed at some moments of a roll-out. */
final readonly class Counter
{
    /**
     * @param  string  $at  ISO 8601
     * @param  string  $when  "before", "first" with one client, "house" with all
     */
    public function __construct(
        public string $at,
        public string $when,
        public int $total,
        public int $refused,
    ) {
    }

    /** Per cent of all questions, with one digit. */
    public function share(): float
    {
        return $this->total === 0 ? 0.0 : round((100 * $this->refused) / $this->total, 1);
    }

    /**
     * What two moments say: a counter that does not rise means that nobody asks (common practice).
     *
     * @return list<Finding>
     */
    public static function compare(self $before, self $after): array
    {
        return match (true) {
            $after->total < $before->total => [FilterFindings::counterFell()],
            $after->total === $before->total => [FilterFindings::counterStands($after->when)],
            $after->refused === $before->refused => [
                FilterFindings::nothingRefused($after->total - $before->total),
            ],
            default => [FilterFindings::counterRises($before, $after)],
        };
    }
}
