<?php

declare(strict_types=1);

namespace Burrow\Household;

use SplMinHeap;

/** What goes dark with which switch, who suffers without going dark, and what to shut down first. */
final readonly class PowerGraph
{
    /** @param  list<Feed>  $feeds one for each box */
    public function __construct(private array $feeds)
    {
    }

    /** The same with one more box. */
    public function with(Feed $feed): self
    {
        return new self([...$this->feeds, $feed]);
    }

    /** @return list<string> the switches, in the order of their first box */
    public function switches(): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(fn (Feed $feed): string => $feed->from, $this->feeds),
                    fn (string $from): bool => $from !== '',
                ),
            ),
        );
    }

    /**
     * The boxes behind a switch in the order to shut them down: whoever depends on another goes first.
     * Boxes that depend on each other in a circle come in the order of the record.
     *
     * @return list<string>
     */
    public function goDark(string $switch): array
    {
        $behind = array_values(array_filter($this->feeds, fn (Feed $feed): bool => $feed->from === $switch));
        $at = array_flip(array_map(fn (Feed $feed): string => $feed->box, $behind));
        // How many of those that are still on need each of them; whoever nobody needs any more may go, first come
        // first.
        $needs = array_map(
            fn (Feed $feed): array => array_values(
                array_intersect_key($at, array_flip(array_diff($feed->dependsOn, [$feed->box]))),
            ),
            $behind,
        );
        $needed = array_count_values(array_merge(...$needs)) + array_fill_keys(array_keys($behind), 0);
        ksort($needed);
        /** @var SplMinHeap<int> $free */
        $free = new SplMinHeap();
        array_map($free->insert(...), array_keys($needed, 0, true));
        $order = [];
        while ($needed !== []) {
            $next = $free->isEmpty() ? array_key_first($needed) : $free->extract();
            if (! isset($needed[$next])) {
                continue;
            }
            unset($needed[$next]);
            $order[] = $behind[$next]->box;
            foreach ($needs[$next] as $provider) {
                if (isset($needed[$provider]) && --$needed[$provider] === 0) {
                    $free->insert($provider);
                }
            }
        }

        return $order;
    }

    /** @return list<string> boxes that keep their power and lose what they depend on, directly or through others */
    public function suffer(string $switch): array
    {
        $dark = array_fill_keys($this->goDark($switch), true);
        $gone = $dark;
        do {
            $before = count($gone);
            foreach ($this->feeds as $feed) {
                if (! isset($gone[$feed->box]) && array_intersect_key($gone, array_flip($feed->dependsOn)) !== []) {
                    $gone[$feed->box] = true;
                }
            }
        } while (count($gone) > $before);

        return array_map(strval(...), array_keys(array_diff_key($gone, $dark)));
    }
}
