<?php

declare(strict_types=1);

namespace Burrow\Plan\Ways;

use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Shelf;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Severity;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanInput;

/**
 * When something stops a plan or warns, searches all single changes and all pairs of changes to its parts for those
 * that cure it, cheapest first. A pair is only offered when neither of its changes does as well alone. When no two
 * changes cure everything, those that leave the fewest stops, then the fewest warnings, are offered with what they leave.
 */
final readonly class WaysOut
{
    private const OFFERED = 4;

    public function __construct(private Shelf $shelf)
    {
    }

    /** @return list<WayOut> */
    public function from(PlanInput $plan): array
    {
        $now = $least = self::weight(self::troubles($plan, null) ?? []);
        if ($now === [0, 0]) {
            return [];
        }
        $cost = PartsList::of($plan)->total()->cents;
        $ways = $alone = [];
        foreach ($this->changeSets($plan) as $changes) {
            $changed = $plan->with(...$changes);
            $left = self::troubles($changed, $least);
            if ($left === null) {
                continue;
            }
            if (self::weight($left) < $least) {
                $least = self::weight($left);
                $ways = $alone = [];
            }
            $keys = array_map(self::key(...), array_keys($changes), $changes);
            if (array_intersect_key($alone, array_flip($keys)) !== []) {
                continue;
            }
            if (count($changes) === 1) {
                $alone[$keys[0]] = true;
            }
            $ways[] = new WayOut(
                $changed,
                $changes,
                PartsList::of($changed)->total()->cents - $cost,
                array_map(fn (Finding $finding): string => $finding->found, $left),
                self::notes($changed),
            );
        }

        return $least < $now ? self::cheapest($ways) : [];
    }

    /** Nothing about its parts stops it or warns; which jobs share the box is not a matter of parts. */
    public static function isCured(PlanInput $plan): bool
    {
        return self::troubles($plan, [0, 0]) === [];
    }

    /**
     * What stops or warns; null as soon as that is more than may be.
     *
     * @param  ?array{int, int}  $most  stops, then all
     * @return ?list<Finding>
     */
    private static function troubles(PlanInput $plan, ?array $most): ?array
    {
        $troubles = [];
        foreach (PlanAnswer::eachOfParts($plan) as $finding) {
            if ($finding->severity->rank() >= Severity::Warn->rank()) {
                $troubles[] = $finding;
                if ($most !== null && self::weight($troubles) > $most) {
                    return null;
                }
            }
        }

        return $troubles;
    }

    /**
     * Every single change, then every pair.
     *
     * @return iterable<non-empty-array<string, mixed>>
     */
    private function changeSets(PlanInput $plan): iterable
    {
        $singles = $this->singles($plan);
        foreach ($singles as $single) {
            yield [$single['name'] => $single['part']];
        }
        foreach ($singles as $i => $one) {
            foreach (array_slice($singles, $i + 1) as $other) {
                if ($one['name'] !== $other['name']) {
                    yield [$one['name'] => $one['part'], $other['name'] => $other['part']];
                }
            }
        }
    }

    private static function key(string $name, mixed $part): string
    {
        return $name.
            ' '.
            match (true) {
                $part instanceof LinkKind => $part->value,
                is_object($part) && isset($part->id) => $part->id,
                default => '',
            };
    }

    /**
     * @param  list<Finding>  $troubles
     * @return array{int, int} stops, then all
     */
    private static function weight(array $troubles): array
    {
        return [count(array_filter($troubles, fn (Finding $finding): bool => $finding->severity === Severity::Stop)), count($troubles)];
    }

    /**
     * @param  list<WayOut>  $ways
     * @return list<WayOut>
     */
    private static function cheapest(array $ways): array
    {
        usort(
            $ways,
            fn (WayOut $a, WayOut $b): int => [$a->cents, count($a->changes), $a->notes, -$a->plan->image->year] <=> [
                $b->cents,
                count($b->changes),
                $b->notes,
                -$b->plan->image->year,
            ],
        );

        return array_slice($ways, 0, self::OFFERED);
    }

    /** @return array<string, list<mixed>> name of a plan's part => what it may be changed to */
    public function changesTo(PlanInput $plan): array
    {
        $schools = [];
        foreach ($plan->jobs as $job) {
            foreach ($job->schools as $school) {
                if ($school !== $plan->school($job)) {
                    $schools[] = $plan->schools->choosing($job, $school);
                }
            }
        }

        return [
            'board' => array_values($this->shelf->boards),
            'supply' => array_values($this->shelf->supplies),
            'cable' => array_values($this->shelf->cables),
            'drive' => array_values($this->shelf->drives),
            'link' => LinkKind::cases(),
            'image' => array_values($this->shelf->images),
            'card' => array_values($this->shelf->cards),
            'case' => array_values($this->shelf->cases),
            'hub' => $this->shelf->small->hubs(),
            'cooling' => array_values($this->shelf->coolings),
            'addOn' => array_values($this->shelf->addOns),
            'schools' => $schools,
        ];
    }

    /** @return list<array{name: string, part: mixed}> */
    private function singles(PlanInput $plan): array
    {
        $singles = [];
        foreach ($this->changesTo($plan) as $name => $parts) {
            foreach ($parts as $part) {
                if (self::isToBeHad($part) && $part !== $plan->{$name} && ($part->id ?? null) !== ($plan->{$name}->id ?? '')) {
                    $singles[] = ['name' => $name, 'part' => $part];
                }
            }
        }

        return $singles;
    }

    /** Of two ways at the same price the one with less to be said about it comes first. */
    private static function notes(PlanInput $plan): int
    {
        return count(array_filter([...PlanAnswer::eachOfParts($plan)], fn (Finding $finding): bool => $finding->severity === Severity::Note));
    }

    private static function isToBeHad(mixed $part): bool
    {
        return match (true) {
            $part instanceof ImageKind => $part->getsUpdates,
            is_object($part) && isset($part->market) => $part->market->available,
            default => true,
        };
    }
}
