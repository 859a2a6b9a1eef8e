<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\LeaseMatch;
use Burrow\BringUp\Step\NotAsked;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Intake\Leases\Lease;
use Burrow\Net\Hostname;

/** The router's list of leases, before and after power-on, singles out the box. */
final class FindLease extends Told
{
    public function name(): string
    {
        return 'find-lease';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return $onBench ? [] : [StepField::text(Pasted::FIELD, 'The router\'s list')];
    }

    public function judge(Judging $at): Outcome
    {
        try {
            $text = $at->given(Pasted::FIELD) === '' ? $at->network->leases() ?? '' : $at->given[Pasted::FIELD];
        } catch (NotAsked $away) {
            return Outcome::notYet($away->finding);
        }
        $reading = $at->intake->read('leases', $text);
        if ($reading->findings->blocks()) {
            return Outcome::notYet($reading->findings);
        }
        $match = LeaseMatch::find(
            Hostname::parse($at->facts->name),
            $reading->all(Lease::class),
            $at->facts->leasesBefore,
        );
        $findings = $match->findings->and($reading->findings);
        if ($match->lease === null) {
            return Outcome::notYet($findings);
        }
        $mac = (string) $match->lease->mac;

        return Outcome::over(
            "at {$match->lease->address}",
            $findings,
            ['found' => $match->lease->address, 'mac' => $mac],
            new Learned(mac: $mac),
        );
    }
}
