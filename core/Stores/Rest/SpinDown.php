<?php

declare(strict_types=1);

namespace Burrow\Stores\Rest;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Stores\DiskFindings;

/**
 * A disk that stops when nobody asked it for a while: how often it starts, how long it rests, what that saves, and
 * whether its starts last as long as it is to be used.
 *
 * Somebody asks at random over the day (a Poisson process), so a gap outlasts the wait with the odds e^(−rate × wait).
 * Who asks in bursts gives it longer rests and fewer starts than are said here.
 */
final readonly class SpinDown
{
    /** Watt seconds of one start beyond turning: about 10 W more for 8 s (common practice). */
    private const START = 80.0;

    private const MINUTES = 1440;

    /** Share of turning all day below which resting is not worth a start (this application). */
    private const WORTH = 0.02;

    /**
     * @param  float  $asked  times a day that somebody wants something of it that memory does not hold, from 0
     * @param  float  $wait  minutes without a question after which it stops, above 0
     * @param  int  $rated  starts that its data sheet gives it, above 0
     * @param  float  $turning  watts while it turns and does nothing
     * @param  float  $resting  watts while it stands
     */
    public function __construct(
        public float $asked,
        public float $wait,
        public int $rated,
        public float $turning,
        public float $resting,
    ) {
    }

    /** Odds, 0 to 1, that a gap outlasts the wait; by memorylessness also the share of the day that it stands. */
    public function rests(): float
    {
        return exp((-$this->asked / self::MINUTES) * $this->wait);
    }

    public function startsADay(): float
    {
        return $this->asked * $this->rests();
    }

    public function hoursADay(): float
    {
        return 24 * $this->rests();
    }

    /** Years until its rated starts are used up; null where it never starts. */
    public function years(): ?float
    {
        return $this->startsADay() > 0 ? $this->rated / $this->startsADay() / 365.25 : null;
    }

    /** Watt hours a day less than turning all the time; below 0 where starting takes more than resting saves. */
    public function saved(): float
    {
        return ($this->turning - $this->resting) * $this->hoursADay() -
            ($this->startsADay() * self::START) / 3600;
    }

    /** What `hdparm -S` is given for a wait that is no shorter (hdparm(8)): 5 s each up to 240, then half hours. */
    public function setting(): int
    {
        return match (true) {
            $this->wait <= 20 => max(1, (int) ceil(round($this->wait * 12, 6))),
            default => min(251, 240 + (int) ceil(round($this->wait / 30, 6))),
        };
    }

    /** @param  float  $wanted  years that it is to be used */
    public function verdict(float $wanted): Finding
    {
        $years = $this->years();

        return match (true) {
            $years !== null && $years < $wanted => DiskFindings::restWears($this->startsADay(), $years),
            $this->saved() < self::WORTH * 24 * $this->turning => DiskFindings::restSavesNothing(),
            default => DiskFindings::restPays($this->saved() * 0.36525, $years),
        };
    }

    public function working(): Working
    {
        return Working::of(
            'stores.rest',
            "After {$this->words()}",
            self::number($this->saved()).' Wh a day',
            Source::standard('hdparm(8)')->and(Source::commonPractice()),
            Line::computed(
                'gaps that are longer',
                'e^(−'.self::number($this->asked)." a day ÷ 1440 × {$this->wait} min)",
                self::number(100 * $this->rests()).' %',
            ),
            Line::computed('starts', 'asked × those gaps', self::number($this->startsADay()).' a day'),
            Line::computed('rest', '24 h × those gaps', self::number($this->hoursADay()).' h a day'),
            Line::computed(
                'saved',
                '('.
                    self::number($this->turning).
                    ' W − '.
                    self::number($this->resting).
                    ' W) × rest − starts × 80 W s',
                self::number($this->saved()).' Wh a day',
            ),
            Line::computed(
                'its starts last',
                "{$this->rated} ÷ starts",
                $this->years() === null ? 'for ever' : self::number($this->years()).' years',
            ),
        );
    }

    /** "10 min", "1.5 h" */
    public function words(): string
    {
        return $this->wait < 60 ? self::number($this->wait).' min' : self::number($this->wait / 60).' h';
    }

    private static function number(float $value): string
    {
        return (string) round($value, abs($value) < 10 ? 2 : 0);
    }
}
