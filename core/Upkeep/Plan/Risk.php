<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Text\Words;

/** How bad it is that a box waits: exposed × security × age (common practice). */
final readonly class Risk
{
    private const EXPOSED = 4.0;

    private const SECURITY = 3.0;

    private const MONTH = 30.0;

    public function __construct(private bool $exposed, private bool $security, private float $ageDays)
    {
    }

    public function score(): float
    {
        return round(
            ($this->exposed ? self::EXPOSED : 1.0) *
                ($this->security ? self::SECURITY : 1.0) *
                (1 + $this->ageDays / self::MONTH),
            2,
        );
    }

    public function working(string $box): Working
    {
        $exposed = $this->exposed ? self::EXPOSED : 1.0;
        $security = $this->security ? self::SECURITY : 1.0;

        return Working::of(
            'upkeep.risk',
            "How urgent {$box} is",
            (string) $this->score(),
            Source::commonPractice(),
            Line::given(
                $this->exposed ? 'reached from outside' : 'reached from the house only',
                "× {$exposed}",
            ),
            Line::given(
                $this->security ? 'a security update waits' : 'no security update waits',
                "× {$security}",
            ),
            Line::given('last brought up to date', Words::counted(round($this->ageDays, 1), 'day').' ago'),
            Line::computed(
                'urgency',
                "{$exposed} × {$security} × (1 + ".round($this->ageDays, 1).' ÷ 30)',
                (string) $this->score(),
            ),
        );
    }
}
