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

/** How many years a solid-state drive lasts under what the jobs write to it. */
final readonly class DriveWear implements PlannerPart
{
    use SilentPart;

    private const SHORT_YEARS = 3;

    private function __construct(private float $endurance, private float $gigabytesPerDay)
    {
    }

    /** Null when no drive wears: none, a spinning one, or nothing is written to it. */
    public static function of(PlanInput $plan): ?self
    {
        $perDay =
            $plan->writesToDrivePerDay()->count / 1e9 +
            ($plan->startsFromDrive() ? CardWear::SYSTEM_GIGABYTES_A_DAY : 0);

        return $plan->drive?->endurance === null || $perDay <= 0
            ? null
            : new self($plan->drive->endurance->count / 1e9, $perDay);
    }

    public function years(): float
    {
        return $this->endurance / $this->gigabytesPerDay / 365.25;
    }

    public function finding(): Finding
    {
        return $this->years() < self::SHORT_YEARS
            ? PlanFindings::driveWearsOut($this->words())
            : PlanFindings::driveLasts($this->words());
    }

    public function working(): Working
    {
        $perDay = number_format($this->gigabytesPerDay, 1, '.', '').' GB';

        return Working::of(
            'plan.drive_wear',
            'Years that the drive lasts',
            $this->words(),
            Source::catalogue('endurance, writes'),
            Line::given(
                'may be written in its life',
                number_format($this->endurance / 1000, 0, '.', '').' TB',
                'data sheets of its class',
            ),
            Line::given('written a day', $perDay, 'the jobs that write to it, and the system where it lives there'),
            Line::computed(
                'years',
                number_format($this->endurance, 0, '.', '')." GB ÷ {$perDay} ÷ 365.25",
                number_format($this->years(), 1, '.', ''),
            ),
        );
    }

    private function words(): string
    {
        return $this->years() >= 30
            ? 'more than 30 years'
            : 'about '.number_format($this->years(), 1, '.', '').' years';
    }

    public function judge(): Findings
    {
        return Findings::of($this->finding());
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'drive_years' => round($this->years(), 2),
        ];
    }

    public static function names(): array
    {
        return ['drive_years'];
    }
}
