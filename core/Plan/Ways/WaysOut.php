<?php

declare(strict_types=1);

namespace Burrow\Plan\Ways;

use BackedEnum;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Shelf;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Severity;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanInput;
use Burrow\Plan\StartFrom;

/**
 * When something stops a plan or warns, searches all single changes and all pairs of changes to its parts for those
 * that cure it. What gives up least of the plan comes first, then what takes the fewest hands, then the cheapest. A
 * pair
 * is only offered when neither of its changes does as well alone. When no two changes cure everything, those that leave
 * the fewest stops, then the fewest warnings, are offered with what they leave.
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
                Toll::of($plan, $changed, $changes),
            );
        }

        return $least < $now ? self::best($ways) : [];
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
                $part instanceof BackedEnum => $part->value,
                is_object($part) && isset($part->id) => $part->id,
                is_array($part) => (string) count($part),
                default => '',
            };
    }

    /**
     * @param  list<Finding>  $troubles
     * @return array{int, int} stops, then all
     */
    private static function weight(array $troubles): array
    {
        return [
            count(array_filter($troubles, fn (Finding $finding): bool => $finding->severity === Severity::Stop)),
            count($troubles),
        ];
    }

    /**
     * Those that ask least; of several that differ by their image only, one.
     *
     * @param  list<WayOut>  $ways
     * @return list<WayOut>
     */
    private static function best(array $ways): array
    {
        $rank = fn (WayOut $way): array => [
            $way->toll->givenUp,
            $way->toll->hands->seconds,
            $way->cents,
            count($way->changes),
            $way->notes,
            -$way->plan->image->year,
        ];
        usort($ways, fn (WayOut $a, WayOut $b): int => $rank($a) <=> $rank($b));
        $offers = [];
        foreach ($ways as $way) {
            $others = array_diff_key($way->changes, ['image' => true]);
            $offers[
                isset($way->changes['image'])
                    ? 'image '.implode(' ', array_map(self::key(...), array_keys($others), $others))
                    : count($offers)
            ] ??= $way;
        }

        return array_slice(array_values($offers), 0, self::OFFERED);
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
            'drive' => [...array_values($this->shelf->drives), ...$plan->needsDisk() ? [] : [null]],
            'link' => LinkKind::cases(),
            'image' => array_values($this->shelf->images),
            'imageFrom' => [ImageOrigin::Author],
            'card' => array_values($this->shelf->cards),
            'startFrom' => StartFrom::cases(),
            'case' => array_values($this->shelf->cases),
            'hub' => [...$this->shelf->small->hubs(), null],
            'cooling' => array_values($this->shelf->coolings),
            'addOn' => $this->addOns($plan),
            'plugged' => array_map(
                fn (Peripheral $out): array => array_values(
                    array_filter($plan->plugged, fn (Peripheral $one): bool => $one !== $out),
                ),
                $plan->plugged,
            ),
            'along' => [[]],
            'schools' => $schools,
        ];
    }

    /**
     * An add-on is only changed for another of its kind; one that nothing asks for is never added.
     *
     * @return list<?AddOn>
     */
    private function addOns(PlanInput $plan): array
    {
        $wanted = array_filter(array_map(fn (Job $job): string => $job->addOn, $plan->jobs));
        $kinds =
            $plan->addOn !== null
                ? [$plan->addOn->gives]
                : [...$wanted, ...$plan->supply->poeWatts === null ? [] : ['network power']];
        $same = array_filter($this->shelf->addOns, fn (AddOn $one): bool => in_array($one->gives, $kinds, true));

        return [...array_values($same), ...in_array($plan->addOn?->gives, $wanted, true) ? [] : [null]];
    }

    /** @return list<array{name: string, part: mixed}> */
    private function singles(PlanInput $plan): array
    {
        $singles = [];
        foreach ($this->changesTo($plan) as $name => $parts) {
            foreach ($parts as $part) {
                $now = $plan->{$name};
                if (
                    self::isToBeHad($part) &&
                    $part !== $now &&
                    ($part === null || self::key($name, $part) !== self::key($name, $now))
                ) {
                    $singles[] = ['name' => $name, 'part' => $part];
                }
            }
        }

        return $singles;
    }

    /** Of two ways at the same price the one with less to be said about it comes first. */
    private static function notes(PlanInput $plan): int
    {
        return count(
            array_filter(
                [...PlanAnswer::eachOfParts($plan)],
                fn (Finding $finding): bool => $finding->severity === Severity::Note,
            ),
        );
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
