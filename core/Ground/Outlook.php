<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\HearingState;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;

/** The state of the whole network in a sentence, and what needs somebody now. */
final readonly class Outlook
{
    private const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    /**
     * @param  list<Standing>  $boxes  those that stand in the house
     * @param  Findings  $upkeep  one finding a box, from the stage of that name
     * @param  bool  $toKeeper  a guest is told neither which boxes wait for updates nor what can be reached without need
     */
    public function __construct(private array $boxes, private Findings $upkeep, private bool $toKeeper = true)
    {
    }

    /** The conclusion, to stand out from the rest: who answers, of those that were asked. */
    public function lead(): string
    {
        $count = count($this->boxes);
        $answering = count($this->all(HearingState::Answers));
        $unheard = count($this->unheard());

        return match (true) {
            $count === 0 => 'Nobody lives here yet.',
            $unheard === $count => $count === 1 ? 'The one box was not asked lately.' : 'No box was asked lately.',
            $unheard > 0 => ucfirst(self::number($answering)).' of '.self::number($count).' boxes '.($answering === 1 ? 'answers' : 'answer').', '.
                self::number($unheard).($unheard === 1 ? ' was' : ' were').' not asked lately.',
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
        $ways = (int) array_sum(array_map(fn (Standing $box): int => count($box->openings), $this->boxes));
        if (! $this->toKeeper) {
            return match ($ways) {
                0 => 'Nothing can be reached from outside.',
                1 => 'One way in from outside.',
                default => ucfirst(self::number($ways)).' ways in from outside.',
            };
        }
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
        $findings = Findings::of(...array_map(
            fn (Standing $box): Finding => Finding::stop(
                'ground.silent',
                ucfirst($box->name).' does not answer.',
                "Silent since {$box->hearing->since?->format('D H:i')}. Most often the supply or the cable.",
                'Look at its lights first.',
            ),
            $this->all(HearingState::Silent),
        ))->and($this->unheardFindings());
        foreach ($this->boxes as $box) {
            $others = array_filter($this->boxes, fn (Standing $other): bool => $other->servesAll === $box->servesAll);
            $findings = $findings->and($this->promises($box));
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
            if ($this->toKeeper && $box->openings !== [] && ! $box->mayFaceWorld) {
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

    /**
     * What was promised of a box and is not so: a port of its job that is shut, steps that were left open.
     *
     * @return list<Finding>
     */
    private function promises(Standing $box): array
    {
        $findings = [];
        if ($box->shut !== [] && $box->is(HearingState::Answers)) {
            $findings[] = Finding::warn(
                'ground.port_shut',
                ucfirst($box->name).' answers, and a port of its job does not: '.implode(', ', $box->shut).'.',
                'The box runs; the service is not started, or listens elsewhere.',
                'On the box: systemctl --failed, then ss --listening --tcp --numeric.',
            );
        }
        if ($box->leftOpen > 0) {
            $findings[] = Finding::warn(
                'ground.unfinished',
                ucfirst($box->name).' is not finished: '.($box->leftOpen === 1 ? 'one thing was' : self::number($box->leftOpen).' things were').' left open.',
                'What was passed over was not looked at, and nothing is recorded of it.',
                'Its page lists them, with the reasons.',
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function unheardFindings(): array
    {
        $outside = array_values(array_filter($this->boxes, fn (Standing $box): bool => ! $box->covered));
        $stopped = array_values(array_filter($this->all(HearingState::NotAsked), fn (Standing $box): bool => $box->covered));
        $names = fn (array $boxes): string => implode(', ', array_map(fn (Standing $box): string => $box->name, array_slice($boxes, 0, 5))).(count($boxes) > 5 ? ' and more' : '');

        return [
            ...$outside === [] ? [] : [
                Finding::warn(
                    'ground.outside_network',
                    ucfirst($names($outside)).(count($outside) === 1 ? ' lies' : ' lie').' outside of the network that is described in Settings.',
                    'Only addresses of that network are asked, so nobody knows whether they answer.',
                    'Put the network right, or give them new addresses.',
                ),
            ],
            ...$stopped === [] ? [] : [
                Finding::warn(
                    'ground.not_asked',
                    ucfirst($names($stopped)).(count($stopped) === 1 ? ' was' : ' were')." not asked since {$stopped[0]->hearing->since?->format('D H:i')}.",
                    'Boxes are asked every minute as long as the watching runs; what is shown of them is from then.',
                    'Start it again: ./burrow up.',
                ),
            ],
        ];
    }

    /** @return list<Standing> */
    private function all(HearingState $state): array
    {
        return array_values(array_filter($this->boxes, fn (Standing $box): bool => $box->is($state)));
    }

    /** @return list<Standing> boxes of which nothing is known now */
    private function unheard(): array
    {
        return [...$this->all(HearingState::NotAsked), ...$this->all(HearingState::NeverAsked)];
    }

    private static function number(int $number): string
    {
        return self::NUMBERS[$number] ?? (string) $number;
    }
}
