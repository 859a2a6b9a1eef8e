<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Quantity\Duration;
use DateTimeImmutable;

/**
 * What is known of whether a box answers, and how old that is. A state that nobody has looked at for a while is not a
 * state but a memory, and is called so.
 */
final readonly class Hearing
{
    /** Boxes are asked every minute; after five minutes without a question the watching itself has stopped. */
    public const STALE_AFTER_SECONDS = 300;

    private function __construct(
        public HearingState $state,
        public ?DateTimeImmutable $since,
        public Duration $ago,
    ) {
    }

    /**
     * @param  ?DateTimeImmutable  $asked  when it was last asked
     * @param  ?DateTimeImmutable  $answered  when it last answered
     * @param  ?DateTimeImmutable  $silentSince  null while it answers
     */
    public static function of(
        ?DateTimeImmutable $asked,
        ?DateTimeImmutable $answered,
        ?DateTimeImmutable $silentSince,
        DateTimeImmutable $now,
    ): self {
        return match (true) {
            $asked === null => new self(HearingState::NeverAsked, null, Duration::seconds(0)),
            self::between($asked, $now)->seconds > self::STALE_AFTER_SECONDS => new self(
                HearingState::NotAsked,
                $asked,
                self::between($asked, $now),
            ),
            $silentSince !== null => new self(
                HearingState::Silent,
                $silentSince,
                self::between($silentSince, $now),
            ),
            $answered === null => new self(HearingState::NeverAsked, null, Duration::seconds(0)),
            default => new self(HearingState::Answers, $answered, self::between($answered, $now)),
        };
    }

    /** "answers", "silent for 3 h", "not asked since Tue 14:02", "never asked". */
    public function words(): string
    {
        return match ($this->state) {
            HearingState::Answers => 'answers',
            HearingState::Silent => "silent for {$this->ago}",
            HearingState::NotAsked => 'not asked since '.$this->since?->format('D H:i'),
            HearingState::NeverAsked => 'never asked',
        };
    }

    /** A clock that was set back gives no negative length. */
    private static function between(DateTimeImmutable $from, DateTimeImmutable $to): Duration
    {
        return Duration::seconds(max(0, $to->getTimestamp() - $from->getTimestamp()));
    }
}
