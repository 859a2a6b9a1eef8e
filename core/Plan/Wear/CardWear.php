<?php

declare(strict_types=1);

namespace Burrow\Plan\Wear;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanFindings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** How many years the card lasts under what the jobs write to it. */
final readonly class CardWear implements PlannerPart
{
    use SilentPart;

    /** Bytes the card writes inside for each byte given to it, with small scattered writes: memory. */
    private const AMPLIFICATION = 8;

    /** The system's own logs. */
    public const SYSTEM_GIGABYTES_A_DAY = 0.15;

    private const SHORT_YEARS = 3;

    private const LONG_YEARS = 30;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    /** In GB a day: the system's own, and the jobs' that have no disk for it. */
    public function gigabytesPerDay(): float
    {
        return self::SYSTEM_GIGABYTES_A_DAY +
            ($this->plan->writesPerDay()->count - $this->plan->writesToDrivePerDay()->count) / 1e9;
    }

    public function years(): float
    {
        $card = $this->plan->card;

        return (($card->capacity->count / 1e9) * $card->eraseCycles) /
            self::AMPLIFICATION /
            $this->gigabytesPerDay() /
            365.25;
    }

    public function finding(): Finding
    {
        $years =
            $this->years() >= self::LONG_YEARS
                ? 'more than '.self::LONG_YEARS.' years'
                : 'about '.number_format($this->years(), 1, '.', '').' years';

        return $this->years() < self::SHORT_YEARS
            ? PlanFindings::cardWearsOut($years, $this->gigabytesPerDay())
            : PlanFindings::cardLasts($years);
    }

    public function working(): Working
    {
        $card = $this->plan->card;

        return Working::of(
            'plan.card_wear',
            'Years that the card lasts',
            $this->years() >= self::LONG_YEARS
                ? 'more than '.self::LONG_YEARS
                : number_format($this->years(), 1, '.', ''),
            Source::catalogue('capacity, erase cycles, writes')->and(Source::commonPractice()),
            Line::given(
                'written a day',
                number_format($this->gigabytesPerDay(), 2, '.', '').' GB',
                'jobs and the system\'s logs',
            ),
            Line::given('card', "{$card->capacity->decimal()}, {$card->eraseCycles} erase cycles", 'catalogue'),
            Line::given('write amplification', (string) self::AMPLIFICATION, 'from experience, to be confirmed'),
            Line::computed(
                'years',
                "{$card->capacity->decimal()} × {$card->eraseCycles} ÷ ".
                    self::AMPLIFICATION.
                    ' ÷ '.
                    number_format($this->gigabytesPerDay(), 2, '.', '').
                    ' GB ÷ 365.25',
                number_format($this->years(), 1, '.', ''),
            ),
        );
    }

    public function judge(): Findings
    {
        return $this->plan->startsFromDrive() ? Findings::of() : Findings::of($this->finding());
    }

    public function workings(): array
    {
        return $this->plan->startsFromDrive() ? [] : [$this->working()];
    }

    public function figures(): array
    {
        return [
            'card_years' => $this->plan->startsFromDrive() ? null : round($this->years(), 2),
        ];
    }

    public static function names(): array
    {
        return ['card_years'];
    }
}
