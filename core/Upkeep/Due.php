<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Text\Words;
use DateTimeImmutable;

/** When a box is to be updated next: its last update and the shortest cadence of its jobs. */
final readonly class Due
{
    private const SOON_DAYS = 3;

    private function __construct(
        public string $box,
        public DateTimeImmutable $last,
        public int $cadenceDays,
        public DateTimeImmutable $date,
        public int $daysLeft,
    ) {
    }

    /**
     * Days are calendar days in the zone that the two moments come in.
     *
     * @param  non-empty-array<string, int>  $cadences  job => days
     */
    public static function of(
        string $box,
        DateTimeImmutable $last,
        array $cadences,
        DateTimeImmutable $now,
    ): self {
        $days = min($cadences);
        $date = $last->modify("+{$days} days");

        return new self(
            $box,
            $last,
            $days,
            $date,
            (int) $now->setTime(0, 0)->diff($date->setTime(0, 0))->format('%r%a'),
        );
    }

    public function isOverdue(): bool
    {
        return $this->daysLeft < 0;
    }

    public function isSoon(): bool
    {
        return ! $this->isOverdue() && $this->daysLeft <= self::SOON_DAYS;
    }

    public function finding(): Finding
    {
        return match (true) {
            $this->isOverdue() => UpkeepFindings::overdue($this->box, $this->late()),
            $this->isSoon() => UpkeepFindings::dueSoon(
                $this->box,
                $this->daysLeft === 0 ? 'today' : 'in '.self::days($this->daysLeft),
            ),
            default => UpkeepFindings::inTime($this->box, self::days($this->daysLeft)),
        };
    }

    /** "3 days past its update", or that it is due today. */
    public function late(): string
    {
        return $this->isOverdue()
            ? self::days(-$this->daysLeft).' past its update'
            : 'due for an update today';
    }

    public function working(): Working
    {
        return Working::of(
            'upkeep.due',
            'When the next update is due',
            $this->date->format('Y-m-d'),
            Source::catalogue('cadence of the job'),
            Line::given('last update', $this->last->format('Y-m-d')),
            Line::given('cadence', Words::counted($this->cadenceDays, 'day'), 'shortest of its jobs'),
            Line::computed(
                'due',
                "{$this->last->format('Y-m-d')} + ".Words::counted($this->cadenceDays, 'day'),
                $this->date->format('Y-m-d'),
            ),
        );
    }

    private static function days(int $days): string
    {
        return Words::counted($days, 'day');
    }
}
