<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Severity;

/** The state of the whole network in a sentence, and what needs somebody now. */
final readonly class Outlook
{
    private const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    /**
     * @param  list<Standing>  $boxes  those in service
     * @param  Findings  $upkeep  one finding a box, from the stage of that name
     */
    public function __construct(private array $boxes, private Findings $upkeep)
    {
    }

    /** The conclusion, to stand out from the rest. */
    public function lead(): string
    {
        $count = count($this->boxes);
        $answering = $count - count($this->silent());

        return match (true) {
            $count === 0 => 'Nobody lives here yet.',
            $answering === $count => $count === 1 ? 'The one box answers.' : 'All '.self::number($count).' boxes answer.',
            $answering === 0 => $count === 1 ? 'The one box does not answer.' : 'No box answers.',
            default => ucfirst(self::number($answering)).' of '.self::number($count).' boxes '.($answering === 1 ? 'answers.' : 'answer.'),
        };
    }

    public function rest(): string
    {
        if ($this->boxes === []) {
            return 'Begin with “New box”: plan it, write its card, bring it up.';
        }
        $ways = array_sum(array_map(fn (Standing $box): int => count($box->openings), $this->boxes));
        $expected = array_sum(array_map(fn (Standing $box): int => $box->mayFaceWorld ? count($box->openings) : 0, $this->boxes));
        $due = count(array_filter($this->upkeep->list, fn (Finding $finding): bool => $finding->severity->rank() > Severity::Fine->rank()));

        return implode(' ', [
            match (true) {
                $ways === 0 => 'Nothing can be reached from outside.',
                $ways === $expected => $ways === 1
                    ? 'One way in from outside, and it is the one that is meant.'
                    : ucfirst(self::number($ways)).' ways in from outside, all of them meant.',
                default => ucfirst(self::number($ways)).
                    ($ways === 1 ? ' way' : ' ways').
                    ' in from outside, '.
                    self::number($ways - $expected).
                    ' of them to a box whose job is not to be reached.',
            },
            match ($due) {
                0 => 'Nothing is due.',
                1 => 'One update is due.',
                default => ucfirst(self::number($due)).' updates are due.',
            },
        ]);
    }

    /** Gravest first: who is silent, what hangs on a single box, what is open without need, what is due. */
    public function findings(): Findings
    {
        $findings = Findings::of();
        foreach ($this->silent() as $box) {
            $findings = $findings->and([
                Finding::stop(
                    'ground.silent',
                    ucfirst($box->name).' does not answer.',
                    "Silent since {$box->silentSince?->format('D H:i')}. Most often the supply or the cable.",
                    'Look at its lights first.',
                ),
            ]);
        }
        foreach ($this->boxes as $box) {
            $others = array_filter($this->boxes, fn (Standing $other): bool => $other->servesAll === $box->servesAll);
            if ($box->servesAll !== '' && count($others) === 1 && count($this->boxes) > 1) {
                $findings = $findings->and([
                    Finding::warn(
                        'ground.no_stand_in',
                        "One box for {$box->servesAll}, no stand-in.",
                        "If {$box->name} dies, nothing here has {$box->servesAll}.",
                        'Plan a second of the same kind.',
                    ),
                ]);
            }
            if ($box->openings !== [] && ! $box->mayFaceWorld) {
                $findings = $findings->and([
                    Finding::warn(
                        'ground.needless_opening',
                        ucfirst($box->name).' can be reached from outside.',
                        'Its job is not meant for that: '.implode(', ', $box->openings).'.',
                        'Reach it through the tunnel instead.',
                    ),
                ]);
            }
        }

        return $findings->and(array_filter($this->upkeep->list, fn (Finding $finding): bool => $finding->severity !== Severity::Fine))->gravestFirst();
    }

    /** @return list<Standing> */
    private function silent(): array
    {
        return array_values(array_filter($this->boxes, fn (Standing $box): bool => $box->silentSince !== null));
    }

    private static function number(int $number): string
    {
        return self::NUMBERS[$number] ?? (string) $number;
    }
}
