<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\BringUp\Step\Step;
use Burrow\Quantity\Duration;
use Burrow\Text\Words;
use DateTimeImmutable;
use InvalidArgumentException;

/** A wait that began at a known moment: it can be worked out again after a reload, a crash or on another screen. */
final readonly class Countdown
{
    /** Readings that are named; a household has many. */
    private const NAMED = 4;

    private function __construct(
        public DateTimeImmutable $end,
        public Duration $expected,
        public Duration $remaining,
        public Duration $over,
        public string $source,
    ) {
    }

    /**
     * @param  list<float>  $measured  how long this step took before, in seconds
     * @param  list<string>  $on  where and when that was: "wren, 12 Nov 2026"
     * @param  float  $speed  of the bench's clock; 1 for a real box
     *
     * @throws InvalidArgumentException for a step that does not wait
     */
    public static function of(
        Step $step,
        DateTimeImmutable $began,
        DateTimeImmutable $now,
        array $measured = [],
        float $speed = 1,
        array $on = [],
    ): self {
        if ($step->waitTo === null || $step->waitFrom === null) {
            throw new InvalidArgumentException("The step “{$step->id}” is no wait.");
        }
        $expected = $measured === [] ? $step->waitTo->seconds / $speed : max($measured);
        // A clock that was set back in between does not make the wait longer.
        $since = max(0.0, (float) $now->format('U.u') - (float) $began->format('U.u'));

        return new self(
            $began->modify('+'.(int) ceil($expected).' seconds'),
            Duration::seconds($expected),
            Duration::seconds(max(0, $expected - $since)),
            Duration::seconds(max(0, $since - $expected)),
            $measured === []
                ? ($speed === 1.0 ? '' : 'the bench runs '.(int) $speed.' times faster; ').
                    "{$step->waitFrom} to {$step->waitTo}, common practice"
                : self::measured($measured, $on),
        );
    }

    /**
     * @param  non-empty-list<float>  $measured
     * @param  list<string>  $on
     */
    private static function measured(array $measured, array $on): string
    {
        $least = Duration::seconds(min($measured));
        $most = Duration::seconds(max($measured));
        $count = Words::counted(count($measured), 'run');
        $named =
            implode('; ', array_slice($on, 0, self::NAMED)).
            (count($on) > self::NAMED ? '; and earlier' : '');

        return "measured here before, {$count}".
            ((string) $least === (string) $most ? '' : ", {$least} to {$most}").
            ($named === '' ? '' : " ({$named})");
    }

    public function isOver(): bool
    {
        return $this->remaining->seconds <= 0;
    }
}
