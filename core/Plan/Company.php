<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Role\Role;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;

/** Which jobs should not share a box. */
final readonly class Company
{
    public static function findings(PlanInput $plan): Findings
    {
        $findings = Findings::of();
        foreach ($plan->roles as $role) {
            foreach ($plan->roles as $other) {
                $finding = $role === $other ? null : self::together($role, $other);
                if ($finding !== null) {
                    $findings = $findings->and([$finding]);
                }
            }
        }

        return $findings;
    }

    private static function together(Role $role, Role $other): ?Finding
    {
        $pair = ucfirst($role->label)." and {$other->label} on one box.";

        return match (true) {
            $role->servesAll !== '' && ($other->restarts || $other->heavy) => Finding::warn('plan.company_of_a_filter', $pair, "When the {$other->label} is restarted or overloaded, the whole house is without {$role->servesAll}.", 'Give the filter a box of its own; the smallest board will do.'),
            $role->id === 'print-host' && $other->heavy => Finding::warn('plan.company_of_a_printer', $pair, 'A print stutters when something else takes the processor.', 'Give the printer a board of its own.'),
            $role->facesWorld && $other->householdFiles => Finding::warn('plan.company_of_files', $pair, 'What can be reached from outside should not hold the household\'s files.', 'Two small boxes instead of one.'),
            default => null,
        };
    }
}
