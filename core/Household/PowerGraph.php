<?php

declare(strict_types=1);

namespace Burrow\Household;

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
            array_unique(array_filter(array_map(fn (Feed $feed): string => $feed->from, $this->feeds), fn (string $from): bool => $from !== '')),
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
        $left = array_values(array_filter($this->feeds, fn (Feed $feed): bool => $feed->from === $switch));
        $order = [];
        while ($left !== []) {
            $needed = array_merge(...array_map(fn (Feed $feed): array => array_diff($feed->dependsOn, [$feed->box]), $left));
            $free = array_values(array_filter($left, fn (Feed $feed): bool => ! in_array($feed->box, $needed, true)));
            $next = $free[0] ?? $left[0];
            $order[] = $next->box;
            $left = array_values(array_filter($left, fn (Feed $feed): bool => $feed !== $next));
        }

        return $order;
    }

    /** @return list<string> boxes that keep their power and lose what they depend on, directly or through others */
    public function suffer(string $switch): array
    {
        $gone = $this->goDark($switch);
        do {
            $more = array_filter(
                $this->feeds,
                fn (Feed $feed): bool => ! in_array($feed->box, $gone, true) && array_intersect($feed->dependsOn, $gone) !== [],
            );
            $gone = [...$gone, ...array_values(array_map(fn (Feed $feed): string => $feed->box, $more))];
        } while ($more !== []);

        return array_values(array_diff($gone, $this->goDark($switch)));
    }
}
