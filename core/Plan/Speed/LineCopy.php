<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;
use Burrow\Text\Words;

/** Copies over the internet line: the first full one, what changes in a day, and catching up after a trip. */
final readonly class LineCopy implements PlannerPart
{
    use SilentPart;

    /** Share of a line's rate that arrives as payload of a tunnel or sync: common practice. */
    private const PAYLOAD = 0.9;

    private const LONG_HOURS = 12;

    private const DAY = 86400;

    public function __construct(private PlanInput $plan)
    {
    }

    /** Only jobs that send the household's files out over the line. */
    public function applies(): bool
    {
        return array_filter($this->plan->jobs, fn (Job $job): bool => $job->syncs) !== [];
    }

    public function first(): Duration
    {
        return $this->rate()->timeFor($this->plan->circumstances->copy);
    }

    /** What changes in a day. */
    public function daily(): Duration
    {
        return $this->rate()->timeFor($this->change());
    }

    /** After some days away, while each day's change goes on; null when it never catches up. */
    public function catchingUp(): ?Duration
    {
        $missed = $this->change()->count * $this->plan->circumstances->awayDays;
        $spare = $this->rate()->bytesPerSecond - $this->change()->count / self::DAY;

        return $spare <= 0 ? null : Duration::seconds($missed / $spare);
    }

    public function findings(): Findings
    {
        $catching = $this->catchingUp();
        $away = round($this->plan->circumstances->awayDays);
        $days = Words::counted($away, 'day');

        return Findings::of(
            $this->first()->seconds > self::LONG_HOURS * 3600
                ? SpeedFindings::firstCopyLong($this->first(), $this->narrowest())
                : SpeedFindings::firstCopyFits($this->first()),
            $catching === null
                ? SpeedFindings::lineNeverCatchesUp($this->change(), $this->narrowest())
                : SpeedFindings::catchingUp($this->daily(), $days, $catching),
        );
    }

    public function working(): Working
    {
        $copy = $this->plan->circumstances->copy->decimal();
        $rate = $this->rate();

        return Working::of(
            'plan.line_copy',
            'Copies over the line',
            (string) $this->first(),
            Source::commonPractice(),
            ...array_map(
                fn (string $name, float $megabits): Line => Line::computed(
                    $name,
                    "{$megabits} Mb/s ÷ 8 × ".self::PAYLOAD,
                    (string) self::payload($megabits),
                ),
                array_keys($this->links()),
                $this->links(),
            ),
            ...[
                Line::computed('first full copy', "{$copy} ÷ {$rate}", (string) $this->first()),
                Line::computed(
                    'a day\'s change',
                    "{$this->change()->decimal()} ÷ {$rate}",
                    (string) $this->daily(),
                ),
                Line::computed(
                    'catching up',
                    "{$this->plan->circumstances->awayDays} × {$this->change()->decimal()} ÷ ({$rate} − a day's change in 24 h)",
                    (string) ($this->catchingUp() ?? 'never'),
                ),
            ],
        );
    }

    public function rate(): Rate
    {
        return self::payload(min($this->links()));
    }

    private function change(): Bytes
    {
        return $this->plan->circumstances->dailyChange;
    }

    private function narrowest(): string
    {
        return ucfirst((string) array_search(min($this->links()), $this->links(), true));
    }

    /** @return non-empty-array<string, float> in Mb/s */
    private function links(): array
    {
        $far = $this->plan->circumstances;

        return [
            'the upload at home' => $far->upMegabits,
            'the download at the far end' => $far->farDownMegabits,
        ] + ($far->relayMegabits > 0 ? ['the relay' => $far->relayMegabits] : []);
    }

    private static function payload(float $megabits): Rate
    {
        return Rate::megabitsPerSecond($megabits)->times(self::PAYLOAD);
    }

    public static function of(PlanInput $plan): ?self
    {
        return (new self($plan))->applies() ? new self($plan) : null;
    }

    public function judge(): Findings
    {
        return $this->findings();
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'first_copy_s' => round($this->first()->seconds, 1),
            'daily_copy_s' => round($this->daily()->seconds, 1),
        ];
    }

    public static function names(): array
    {
        return ['first_copy_s', 'daily_copy_s'];
    }
}
