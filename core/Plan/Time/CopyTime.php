<?php

declare(strict_types=1);

namespace Burrow\Plan\Time;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\Circumstances;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Duration;

/** How long the household's own copy takes, and what the rate is good for. */
final readonly class CopyTime implements PlannerPart
{
    use SilentPart;

    /** Rates in MB/s from which a use is pleasant: common practice. */
    private const ARCHIVE = 1.0;

    private const PICTURES = 10.0;

    private const EDITING = 60.0;

    public function __construct(private CopyRate $copy, private Circumstances $circumstances)
    {
    }

    public function time(): Duration
    {
        return $this->copy->rate()->timeFor($this->circumstances->copy);
    }

    /** @return array<string, bool> use => good enough for it */
    public function uses(): array
    {
        return array_map(fn (float $from): bool => $this->copy->rate()->inMegabytes() >= $from, $this->from());
    }

    /** @return array<string, float> use => MB/s from which it is pleasant */
    private function from(): array
    {
        $stream = $this->circumstances->streamMegabits;

        return [
            'archive and backup' => self::ARCHIVE,
            "a stream at {$stream} Mb/s" => $stream / 8,
            'opening large pictures' => self::PICTURES,
            'editing video over the network' => self::EDITING,
        ];
    }

    public function working(): Working
    {
        return Working::of(
            'plan.copy_time',
            "Time for {$this->circumstances->copy->decimal()}",
            (string) $this->time(),
            Source::commonPractice(),
            Line::computed(
                'time',
                "{$this->circumstances->copy->decimal()} ÷ {$this->copy->rate()}",
                (string) $this->time(),
            ),
            ...array_map(
                fn (string $use, float $from): Line => Line::given(
                    $use,
                    $this->uses()[$use] ? 'good enough' : 'too slow',
                    "from {$from} MB/s",
                ),
                array_keys($this->from()),
                $this->from(),
            ),
        );
    }

    public static function of(PlanInput $plan): ?self
    {
        $copy = CopyRate::of($plan);

        return $copy === null ? null : new self($copy, $plan->circumstances);
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'copy_time_s' => round($this->time()->seconds, 1),
        ];
    }

    public static function names(): array
    {
        return ['copy_time_s'];
    }
}
