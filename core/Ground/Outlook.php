<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Text\Words;

/** The state of the whole network in a sentence. */
final readonly class Outlook
{
    /** @var list<Box> */
    private array $boxes;

    /**
     * @param  int  $due  boxes that are due for an update, or soon
     * @param  bool  $toKeeper  a guest is told neither which boxes wait for updates nor what can be reached without
     *         need
     */
    public function __construct(private Household $house, private int $due, private bool $toKeeper = true)
    {
        $this->boxes = $house->standing();
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
            $unheard > 0 => ucfirst(Words::number($answering)).
                ' of '.
                Words::number($count).
                ' boxes '.
                ($answering === 1 ? 'answers' : 'answer').
                ', '.
                Words::number($unheard).
                ($unheard === 1 ? ' was' : ' were').
                ' not asked lately.',
            $answering === $count => $count === 1
                ? 'The one box answers.'
                : 'All '.Words::number($count).' boxes answer.',
            $answering === 0 => $count === 1 ? 'The one box does not answer.' : 'No box answers.',
            default => ucfirst(Words::number($answering)).
                ' of '.
                Words::number($count).
                ' boxes '.
                ($answering === 1 ? 'answers.' : 'answer.'),
        };
    }

    public function rest(): string
    {
        if ($this->boxes === []) {
            return 'Begin with “New box”: plan it, write its card, bring it up.';
        }
        $ways = (int) array_sum(array_map(fn (Box $box): int => count($this->house->openings($box)), $this->boxes));
        if (! $this->toKeeper) {
            return match ($ways) {
                0 => 'Nothing can be reached from outside.',
                1 => 'One way in from outside.',
                default => ucfirst(Words::number($ways)).' ways in from outside.',
            };
        }
        $expected = array_sum(
            array_map(
                fn (Box $box): int => $box->mayFaceWorld() ? count($this->house->openings($box)) : 0,
                $this->boxes,
            ),
        );

        return implode(' ', [
            match (true) {
                $ways === 0 => 'Nothing can be reached from outside.',
                $ways === $expected => $ways === 1
                    ? 'One way in from outside, and it is the one that is meant.'
                    : ucfirst(Words::number($ways)).' ways in from outside, all of them meant.',
                default => ucfirst(Words::number($ways)).
                    ($ways === 1 ? ' way' : ' ways').
                    ' in from outside, '.
                    Words::number($ways - $expected).
                    ' of them to a box whose job is not to be reached.',
            },
            match ($this->due) {
                0 => 'Nothing is due.',
                1 => 'One update is due.',
                default => ucfirst(Words::number($this->due)).' updates are due.',
            },
        ]);
    }

    /** @return list<Box> */
    private function all(HearingState $state): array
    {
        return array_values(array_filter($this->boxes, fn (Box $box): bool => $box->is($state)));
    }

    /** @return list<Box> boxes of which nothing is known now */
    private function unheard(): array
    {
        return [...$this->all(HearingState::NotAsked), ...$this->all(HearingState::NeverAsked)];
    }
}
