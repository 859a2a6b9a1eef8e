<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Upkeep\Plan\Spans;
use DateTimeImmutable;

/**
 * Hours in which a box might have been updated, that began and ended since it was due. The plan goes on to the next
 * ones by itself; that some went by unused is said.
 */
final readonly class MissedHours
{
    /** Days ahead in which the next hours are looked for: windows come back every week. */
    private const AHEAD_DAYS = 8;

    /** Days back: whoever is later than that has another trouble than last week's hours. */
    private const BACK_DAYS = 60;

    private function __construct(
        private Due $due,
        private DateTimeImmutable $from,
        private DateTimeImmutable $to,
        private ?DateTimeImmutable $next,
    ) {
    }

    /** Null while it is not due, where nothing went by, and for one that is off: that falls due when it appears. */
    public static function of(Household $house, Box $box, Due $due): ?self
    {
        $now = $house->now;
        if ($due->daysLeft > 0 || $box->is(HearingState::Silent)) {
            return null;
        }
        $since = max($due->date->setTime(0, 0), $now->modify('-'.self::BACK_DAYS.' days'));
        $end = $now->modify('+'.self::AHEAD_DAYS.' days')->getTimestamp();
        $spans = Spans::of([]);
        foreach ($house->hours() as $hours) {
            if ($hours->kind === Hours::WINDOW && $hours->isOf($box->name)) {
                $spans = $spans->and(
                    Spans::weekly(
                        $hours->days,
                        $hours->from,
                        $hours->to,
                        $since->modify('-2 days')->getTimestamp(),
                        $end,
                        $now->getTimezone(),
                    ),
                );
            }
        }
        $missed = $next = null;
        foreach ($spans->spans as $span) {
            if ($span[0] >= $since->getTimestamp() && $span[1] <= $now->getTimestamp()) {
                $missed = $span;
            } elseif ($span[0] > $now->getTimestamp()) {
                $next ??= $span[0];
            }
        }
        $at = fn (int $moment): DateTimeImmutable => $now->setTimestamp($moment);

        return $missed === null
            ? null
            : new self($due, $at($missed[0]), $at($missed[1]), $next === null ? null : $at($next));
    }

    public function finding(): Finding
    {
        $to = $this->to->format(
            $this->from->format('Y-m-d') === $this->to->format('Y-m-d') ? 'H:i' : 'l H:i',
        );

        return UpkeepFindings::hoursMissed(
            $this->due->box,
            $this->due->late(),
            $this->from->format('l j M, H:i')." to {$to}",
            $this->due->last->format('Y-m-d'),
            $this->next?->format('l j M, H:i'),
        );
    }
}
