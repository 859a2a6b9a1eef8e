<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/**
 * So many boxes that nobody could tell them apart in a picture, gathered by their jobs: one chamber a job, with how
 * many of them answer. Boxes that can be reached from outside, and some of those that are silent, keep a chamber each.
 */
final class Gathered
{
    /** Up to so many every box has its own chamber. */
    public const SINGLE = 40;

    /** Chambers of their own for what wants to be seen. */
    private const OWN = 12;

    /**
     * @param  list<Dwelling>  $boxes
     * @return list<Dwelling>
     */
    public static function of(array $boxes): array
    {
        if (count($boxes) <= self::SINGLE) {
            return $boxes;
        }
        $open = array_filter($boxes, fn (Dwelling $box): bool => $box->openings !== []);
        $silent = array_filter($boxes, fn (Dwelling $box): bool => $box->state === ChamberState::Silent);
        $own = array_slice($open + $silent, 0, self::OWN, true);
        $jobs = [];
        foreach (array_diff_key($boxes, $own) as $at => $box) {
            $jobs[$box->job][$at] = $box;
        }
        // The only one with its job stands for itself as well.
        foreach ($jobs as $alike) {
            $own += count($alike) === 1 ? $alike : [];
        }
        $jobs = array_filter($jobs, fn (array $alike): bool => count($alike) > 1);
        $chamber = [];
        foreach ($own as $box) {
            $chamber[$box->name] = $box->name;
        }
        foreach ($jobs as $job => $alike) {
            foreach ($alike as $box) {
                $chamber[$box->name] = (string) $job;
            }
        }
        $gathered = [];
        foreach ($own as $box) {
            $gathered[] = new Dwelling(
                $box->name,
                $box->address,
                $box->note,
                $box->state,
                $box->openings,
                self::between([$box], $chamber),
                $box->job,
            );
        }
        foreach ($jobs as $job => $alike) {
            $alike = array_values($alike);
            $gathered[] = self::chamber((string) $job, $alike, self::between($alike, $chamber));
        }

        return $gathered;
    }

    /**
     * @param  non-empty-list<Dwelling>  $alike
     * @param  array<string, string>  $dependsOn
     */
    private static function chamber(string $job, array $alike, array $dependsOn): Dwelling
    {
        $in = fn (ChamberState $state): int => count(
            array_filter($alike, fn (Dwelling $box): bool => $box->state === $state),
        );
        $count = count($alike);
        $answering = $in(ChamberState::Answers);

        return new Dwelling(
            $job === '' ? 'without a job' : $job,
            "{$count} boxes",
            match (true) {
                $answering === $count => 'all answer',
                $in(ChamberState::Silent) > 0 => $in(ChamberState::Silent).' silent, '.$answering.' answer',
                default => "{$answering} answer",
            },
            match (true) {
                $in(ChamberState::Silent) > 0 => ChamberState::Silent,
                $answering === $count => ChamberState::Answers,
                $in(ChamberState::Building) === $count => ChamberState::Building,
                default => ChamberState::Unheard,
            },
            [],
            $dependsOn,
            $job,
            $count,
        );
    }

    /**
     * What the boxes of one chamber need of others, by chamber.
     *
     * @param  list<Dwelling>  $boxes
     * @param  array<string, string>  $chamber  name of a box => name of the chamber that it is in
     * @return array<string, string>
     */
    private static function between(array $boxes, array $chamber): array
    {
        $needs = [];
        foreach ($boxes as $box) {
            foreach ($box->dependsOn as $on => $what) {
                if (isset($chamber[$on]) && $chamber[$on] !== $chamber[$box->name]) {
                    $needs[$chamber[$on]] ??= $what;
                }
            }
        }

        return $needs;
    }
}
