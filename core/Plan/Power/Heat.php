<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** Temperature of the board under load: room + power × thermal resistance of the case. */
final readonly class Heat implements PlannerPart
{
    use SilentPart;

    /** Boards of these classes slow down from here on: memory. */
    public const THROTTLES = 80.0;

    private const MARGIN = 8.0;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function celsius(): float
    {
        return $this->plan->circumstances->roomCelsius + $this->plan->board->busy->watts * $this->kelvinPerWatt();
    }

    /** Of the case with its cooling, or as measured on a box of this kind. */
    public function kelvinPerWatt(): float
    {
        return $this->plan->calibration->kelvinPerWatt ?? $this->plan->case->kelvinPerWatt * $this->share();
    }

    /** What the cooling leaves of the warming; sinks do nothing more in a case that has its own. */
    private function share(): float
    {
        $cooling = $this->plan->cooling;

        return $cooling === null || ($cooling->sinks && $this->plan->case->sinks) ? 1.0 : $cooling->share;
    }

    /** Machines that come with a case and cooling of their own are not judged. */
    public function applies(): bool
    {
        return $this->plan->board->powerInlet !== 'barrel';
    }

    public function finding(): Finding
    {
        $degrees = round($this->celsius()).' °C';

        return match (true) {
            ! $this->applies() => PowerFindings::heatOwnCooling(),
            $this->celsius() >= self::THROTTLES => PowerFindings::heatThrottles($degrees, self::THROTTLES),
            $this->celsius() >= self::THROTTLES - self::MARGIN => PowerFindings::heatClose($degrees),
            default => PowerFindings::heatFits($degrees, $this->caseName()),
        };
    }

    public function working(): Working
    {
        $plan = $this->plan;
        $kelvin = round($this->kelvinPerWatt(), 1);

        return Working::of(
            'plan.board_temperature',
            'Temperature of the board under load',
            round($this->celsius()).' °C',
            Source::catalogue('power and case')->and(Source::commonPractice()),
            Line::given('room', "{$plan->circumstances->roomCelsius} °C"),
            Line::given('board, busy', (string) $plan->board->busy, 'catalogue'),
            $plan->calibration->kelvinPerWatt === null
                ? Line::computed(
                    $plan->case->label,
                    "{$plan->case->kelvinPerWatt} K/W".
                        ($plan->cooling === null ? '' : " × {$this->share()} with: {$plan->cooling->label}"),
                    "{$kelvin} K/W",
                    'catalogue',
                )
                : Line::given($plan->case->label, "{$kelvin} K/W", "measured on {$plan->calibration->from}"),
            Line::computed(
                'board',
                "{$plan->circumstances->roomCelsius} °C + {$plan->board->busy} × {$kelvin} K/W",
                round($this->celsius()).' °C',
            ),
            Line::given('it slows down from', self::THROTTLES.' °C', 'from experience, to be confirmed'),
        );
    }

    private function caseName(): string
    {
        return lcfirst($this->plan->case->label);
    }

    public function judge(): Findings
    {
        return Findings::of($this->finding());
    }

    public function workings(): array
    {
        return $this->applies() ? [$this->working()] : [];
    }

    public function figures(): array
    {
        return [
            'board_celsius' => $this->applies() ? round($this->celsius(), 1) : null,
        ];
    }

    public static function names(): array
    {
        return ['board_celsius'];
    }
}
