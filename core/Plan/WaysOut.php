<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Sheet\Severity;

/**
 * When something stops a plan or warns, searches all single changes and all pairs of changes to its parts for those
 * that cure it, cheapest first. A pair is only offered when neither of its changes cures the plan alone.
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
        if (self::isCured($plan)) {
            return [];
        }
        $cost = PartsList::of($plan)->total()->cents;
        $singles = $this->singles($plan);
        $ways = [];
        foreach ($singles as $change) {
            $ways[] = $this->tryOut($plan, [$change['name'] => $change['part']], $cost);
        }
        $curing = array_map(fn (?WayOut $way): bool => $way !== null, $ways);
        foreach ($singles as $i => $one) {
            foreach ($curing[$i] ? [] : array_slice($singles, $i + 1, null, true) as $k => $other) {
                if (! $curing[$k] && $one['name'] !== $other['name']) {
                    $ways[] = $this->tryOut($plan, [$one['name'] => $one['part'], $other['name'] => $other['part']], $cost);
                }
            }
        }
        $ways = array_values(array_filter($ways));
        usort($ways, fn (WayOut $a, WayOut $b): int => [$a->cents, count($a->changes), -$a->plan->image->year] <=> [$b->cents, count($b->changes), -$b->plan->image->year]);

        return array_slice($ways, 0, self::OFFERED);
    }

    /** Nothing about its parts stops it or warns; which jobs share the box is not a matter of parts. */
    public static function isCured(PlanInput $plan): bool
    {
        return (PlanAnswer::findingsOfParts($plan)->worst()?->rank() ?? 0) < Severity::Warn->rank();
    }

    /** @return list<array{name: string, part: mixed}> */
    private function singles(PlanInput $plan): array
    {
        $singles = [];
        foreach ($this->shelf->choices() as $name => $parts) {
            foreach ($parts as $part) {
                if ($part !== $plan->{$name} && ($part->id ?? null) !== ($plan->{$name}->id ?? '')) {
                    $singles[] = ['name' => $name, 'part' => $part];
                }
            }
        }

        return $singles;
    }

    /** @param  non-empty-array<string, mixed>  $changes */
    private function tryOut(PlanInput $plan, array $changes, int $cost): ?WayOut
    {
        $changed = $plan->with(...$changes);

        return self::isCured($changed) ? new WayOut($changed, $changes, PartsList::of($changed)->total()->cents - $cost) : null;
    }
}
