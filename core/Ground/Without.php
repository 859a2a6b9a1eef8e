<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Household\Opening;

/**
 * What if some boxes were off: which others lose what they cannot work without, what the whole house loses, which ways
 * in lead nowhere, and what goes on. A box that depends on one of two that do the same is said to lose it: whether it
 * would ask the other is not on record.
 */
final readonly class Without
{
    /**
     * @param  list<string>  $off  names of boxes that are off
     * @param  list<array{box: string, what: string, on: string, far: int}>  $lose  who loses what with whom; far: 1
     *         where that box is off itself, more where it only loses something
     * @param  list<string>  $house  what nobody in the house has any more
     * @param  list<array{what: string, by: string}>  $stays  what another one does as well
     * @param  list<array{way: string, box: string}>  $ways  ways in from outside that lead nowhere
     * @param  list<string>  $works  names of boxes that go on
     * @param  list<string>  $silent  names of those that did not answer before either
     */
    private function __construct(
        public array $off,
        public array $lose,
        public array $house,
        public array $stays,
        public array $ways,
        public array $works,
        public array $silent,
    ) {
    }

    /** @param  list<string>  $off  names; what is no box that stands is left out */
    public static function of(Household $house, array $off): self
    {
        $standing = $house->standing();
        $names = array_map(fn (Box $one): string => $one->name, $standing);
        $off = array_values(array_intersect($names, $off));
        $gone = array_fill_keys($off, 0);
        $lose = [];
        $dependencies = $house->dependencies();
        for ($far = 1, $more = true; $more; $far++) {
            $more = false;
            $now = $gone;
            foreach ($dependencies as $one) {
                if (
                    isset($now[$one->on]) &&
                    $now[$one->on] === $far - 1 &&
                    ! isset($now[$one->box]) &&
                    in_array($one->box, $names, true)
                ) {
                    $lose["{$one->box} {$one->what}"] ??= [
                        'box' => $one->box,
                        'what' => $one->what,
                        'on' => $one->on,
                        'far' => $far,
                    ];
                    $gone[$one->box] = $far;
                    $more = true;
                }
            }
        }
        [$nobody, $stays] = self::served($standing, $off);
        $left = fn (bool $silent): array => array_values(
            array_map(
                fn (Box $one): string => $one->name,
                array_filter(
                    $standing,
                    fn (Box $one): bool => ! isset($gone[$one->name]) &&
                        $one->is(HearingState::Silent) === $silent,
                ),
            ),
        );

        return new self(
            $off,
            array_values($lose),
            $nobody,
            $stays,
            array_values(
                array_map(
                    fn (Opening $one): array => ['way' => $one->words(), 'box' => $one->box],
                    array_filter(
                        $house->openings(),
                        fn (Opening $one): bool => in_array($one->box, $off, true),
                    ),
                ),
            ),
            $left(false),
            $left(true),
        );
    }

    /** The whole of it in a sentence. */
    public function sentence(): string
    {
        $lost = count(array_unique(array_column($this->lose, 'box')));

        return match (true) {
            $this->off === [] => 'Nothing is taken out yet.',
            $this->house !== [] => 'The whole house loses '.implode(' and ', $this->house).'.',
            $lost > 0 => $lost === 1
                ? "{$this->lose[0]['box']} cannot do its work; ".self::number(count($this->works)).'.'
                : "{$lost} boxes cannot do their work; ".self::number(count($this->works)).'.',
            $this->ways !== [] => 'Nobody comes in from outside by it any more; inside all goes on.',
            default => 'Nobody else would notice.',
        };
    }

    private static function number(int $works): string
    {
        return $works === 1 ? 'one goes on' : ($works === 0 ? 'none goes on' : "{$works} go on");
    }

    /**
     * @param  list<Box>  $standing
     * @param  list<string>  $off
     * @return array{list<string>, list<array{what: string, by: string}>}
     */
    private static function served(array $standing, array $off): array
    {
        $by = $lost = [];
        foreach ($standing as $box) {
            $what = $box->servesAll();
            if ($what === '') {
                continue;
            }
            in_array($box->name, $off, true) ? ($lost[$what] = true) : ($by[$what] ??= $box->name);
        }
        $stays = [];
        foreach (array_intersect_key($by, $lost) as $what => $name) {
            $stays[] = ['what' => (string) $what, 'by' => $name];
        }

        return [array_map(strval(...), array_keys(array_diff_key($lost, $by))), $stays];
    }
}
