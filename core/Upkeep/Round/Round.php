<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

use Burrow\Household\DoorState;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\Plan\Doing;
use Burrow\Upkeep\Plan\UpkeepPlan;
use InvalidArgumentException;

/**
 * The plan of upkeep carried out as one run: one box after the other in the plan's order, and the next only when the
 * one before was seen to answer all that it answered before. Never two at once, so never both resolvers.
 */
final readonly class Round
{
    /** Seconds after which a box that has not begun has missed its hours (common practice: half a day). */
    private const LATE = 43_200;

    /** @param  list<Stop>  $stops  in their order; each box once */
    private function __construct(public int $began, public array $stops)
    {
    }

    /** @param  int  $now  Unix seconds */
    public static function of(UpkeepPlan $plan, int $now): self
    {
        return new self(
            $now,
            array_map(
                fn (Doing $one): Stop => new Stop($one->box->name, $one->start, $one->box->needs),
                $plan->doings,
            ),
        );
    }

    /** From what was kept; null where there is none, or nothing of it can be read. */
    public static function from(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_int($kept['began'] ?? null) || ! is_array($kept['stops'] ?? null)) {
            return null;
        }
        $stops = array_values(array_filter(array_map(Stop::from(...), $kept['stops'])));

        return $stops === [] ? null : new self($kept['began'], $stops);
    }

    /** @return array{began: int, stops: list<array<string, mixed>>} as it is kept */
    public function toArray(): array
    {
        return [
            'began' => $this->began,
            'stops' => array_map(fn (Stop $one): array => $one->toArray(), $this->stops),
        ];
    }

    /** The box that is under way or comes next; null when all are finished. */
    public function current(): ?Stop
    {
        foreach ($this->stops as $stop) {
            if (! $stop->state->isFinished()) {
                return $stop;
            }
        }

        return null;
    }

    public function isOver(): bool
    {
        return $this->current() === null;
    }

    /** The next box waits, and its hours went by: the plan of the rest is made anew. */
    public function isMissed(int $now): bool
    {
        $next = $this->current();

        return $next !== null && $next->state === StopState::Waiting && $next->planned < $now - self::LATE;
    }

    /** What is finished stays, and the rest is as the plan has it now. */
    public function replanned(UpkeepPlan $plan): self
    {
        $done = array_values(
            array_filter($this->stops, fn (Stop $one): bool => $one->state !== StopState::Waiting),
        );
        $names = array_map(fn (Stop $one): string => $one->box, $done);

        return new self($this->began, [
            ...$done,
            ...array_values(
                array_filter(
                    self::of($plan, $this->began)->stops,
                    fn (Stop $one): bool => ! in_array($one->box, $names, true),
                ),
            ),
        ]);
    }

    /**
     * What speaks against beginning the next box now: one that it needs was left out without being seen to work, or
     * it does not answer.
     *
     * @param  array<int, DoorState>  $doors  TCP port => what it meets now
     */
    public function against(array $doors): Findings
    {
        $next = $this->current();
        if ($next === null || $next->state !== StopState::Waiting) {
            return Findings::of();
        }
        $found = [];
        foreach ($this->stops as $stop) {
            if (in_array($stop->box, $next->needs, true) && $stop->state === StopState::Left) {
                $found[] = RoundFindings::needsLeftOut($next->box, $stop->box, $stop->words);
            }
        }
        if ($doors === [] || ! in_array(false, array_map(self::silent(...), $doors), true)) {
            $found[] = RoundFindings::absentForRound($next->box);
        }

        return Findings::of(...$found);
    }

    /**
     * The next box is begun: what it answers now is what it has to answer afterwards.
     *
     * @param  array<int, DoorState>  $doors  TCP port => what it meets now
     * @param  bool  $names  it answers names now
     *
     * @throws InvalidArgumentException when it is not its turn
     */
    public function begin(string $box, array $doors, bool $names, int $now): self
    {
        $this->mustBe($box, StopState::Waiting);

        return $this->with(
            $box,
            fn (Stop $one): Stop => new Stop(
                $box,
                $one->planned,
                $one->needs,
                StopState::Begun,
                $doors,
                $names,
                $now,
            ),
        );
    }

    /**
     * What is not as it was before: ports that were open and are not, and names.
     *
     * @param  array<int, DoorState>  $doors  TCP port => what it meets now
     */
    public function missing(array $doors, bool $names): Findings
    {
        $one = $this->current();
        if ($one === null || $one->state !== StopState::Begun) {
            return Findings::of();
        }
        $shut = array_keys(
            array_filter(
                $one->before,
                fn (DoorState $was, int $port): bool => $was === DoorState::Open &&
                    ($doors[$port] ?? DoorState::Silent) !== DoorState::Open,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        $found = [];
        if ($shut !== []) {
            $found[] = RoundFindings::notBackYet($one->box, $shut);
        } elseif (! in_array(false, array_map(self::silent(...), $doors), true)) {
            // Nothing was open before, and now not even a refusal comes: nobody has seen it alive.
            $found[] = RoundFindings::absentForRound($one->box);
        }
        if ($one->namesBefore && ! $names) {
            $found[] = RoundFindings::namesNotBack($one->box);
        }

        return Findings::of(...$found);
    }

    /**
     * It works again, as far as it was looked at.
     *
     * @throws InvalidArgumentException when it is not under way
     */
    public function over(string $box, string $words, int $now): self
    {
        $this->mustBe($box, StopState::Begun);

        return $this->ended($box, StopState::Over, $words, $now);
    }

    /**
     * It is left out, begun or not.
     *
     * @throws InvalidArgumentException when it is not its turn
     */
    public function leave(string $box, string $why, int $now): self
    {
        $this->mustBe($box, null);

        return $this->ended($box, StopState::Left, $why, $now);
    }

    private function ended(string $box, StopState $state, string $words, int $now): self
    {
        return $this->with(
            $box,
            fn (Stop $one): Stop => new Stop(
                $box,
                $one->planned,
                $one->needs,
                $state,
                $one->before,
                $one->namesBefore,
                $one->began,
                $now,
                $words,
            ),
        );
    }

    /** @param  callable(Stop): Stop  $change */
    private function with(string $box, callable $change): self
    {
        return new self(
            $this->began,
            array_map(fn (Stop $one): Stop => $one->box === $box ? $change($one) : $one, $this->stops),
        );
    }

    private function mustBe(string $box, ?StopState $state): void
    {
        $current = $this->current();
        if ($current?->box !== $box || ($state !== null && $current->state !== $state)) {
            throw new InvalidArgumentException("It is not the turn of {$box}.");
        }
    }

    private static function silent(DoorState $door): bool
    {
        return $door === DoorState::Silent;
    }
}
