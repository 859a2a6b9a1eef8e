<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Plan\Money\PartsList;
use Burrow\Plan\Money\RunningCost;
use Burrow\Plan\Time\InstallTime;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;

/** A place where the jobs could run: what it costs, how long it takes, and what speaks against it. */
final readonly class Seat
{
    /**
     * @param  string  $kind  "own", "box", "desk" or "bought"
     * @param  ?Duration  $hands  hands-on time; null when nobody knows
     */
    private function __construct(
        public string $kind,
        public string $label,
        public Money $price,
        public Money $perYear,
        public ?Duration $hands,
        public Findings $findings,
    ) {
    }

    /**
     * Every place that comes into question, the plan's own box first.
     *
     * @param  list<Host>  $hosts
     * @return non-empty-list<self>
     */
    public static function all(PlanInput $plan, array $hosts): array
    {
        return [
            new self(
                'own',
                'a box of its own',
                PartsList::of($plan)->total(),
                RunningCost::of($plan)->perYear(),
                InstallTime::of($plan)->hands(),
                PlanAnswer::findings($plan),
            ),
            ...array_values(array_filter(array_map(fn (Host $host): ?self => self::shared($plan, $host), $hosts))),
            ...$plan->desk === null ? [] : [self::desk($plan)],
            ...count($plan->jobs) === 1 && $plan->jobs[0]->bought !== null ? [self::bought($plan)] : [],
        ];
    }

    public function worst(): Severity
    {
        return $this->findings->worst() ?? Severity::Fine;
    }

    /** The gravest thing against it, or that nothing is. */
    public function verdict(): string
    {
        return $this->worst()->rank() < Severity::Warn->rank()
            ? 'Nothing speaks against it.'
            : $this->findings->gravestFirst()->list[0]->found;
    }

    /** What the box has to bear already does not speak against the new jobs; null when it does them all already. */
    private static function shared(PlanInput $plan, Host $host): ?self
    {
        $there = array_map(fn (Job $job): string => $job->id, $host->plan->jobs);
        $new = array_values(array_filter($plan->jobs, fn (Job $job): bool => ! in_array($job->id, $there, true)));
        if ($new === []) {
            return null;
        }
        $before = $host->plan->with(circumstances: $plan->circumstances);
        $together = $before->with(
            jobs: [...$host->plan->jobs, ...$new],
            drive: $host->plan->drive ?? ($plan->needsDisk() ? $plan->drive : null),
        );
        $known = array_map(self::key(...), PlanAnswer::findings($before)->list);
        $disk = $host->plan->drive === null && $together->drive !== null ? $together->drive->price : Money::of(0);

        return new self(
            'box',
            $host->name,
            $disk,
            Money::of(0),
            InstallTime::of($plan)->hands(),
            Findings::of(
                ...array_values(
                    array_filter(
                        PlanAnswer::findings($together)->list,
                        fn (Finding $finding): bool => ! in_array(self::key($finding), $known, true),
                    ),
                ),
            ),
        );
    }

    private static function key(Finding $finding): string
    {
        return $finding->code.' '.$finding->found;
    }

    /** A program on the desk computer costs nothing, as long as the machine is there when it is wanted. */
    private static function desk(PlanInput $plan): self
    {
        $desk = $plan->desk ?? throw new \LogicException('No desk computer in this plan.');
        $always = $plan->circumstances->duty === Duty::AroundTheClock;
        $needed =
            array_filter($plan->jobs, fn (Job $job): bool => $job->servesAll !== '' || $job->facesWorld) !== [];
        $hours = $always ? max(0.0, 24 - $desk->hours) : 0.0;
        $more = Money::of((($desk->watts * $hours * 365.25) / 1000) * $plan->circumstances->pricePerKilowattHour);
        $findings = array_filter([
            $desk->sleeps && $needed ? PlanFindings::deskSleepsUnderService($desk) : null,
            $desk->sleeps && ! $needed ? PlanFindings::deskSleeps($desk) : null,
            $desk->restarts ? PlanFindings::deskRestarts($desk) : null,
            $always && $hours > 0 ? PlanFindings::deskHours($desk, $more) : null,
        ]);

        return new self(
            'desk',
            $desk->name,
            Money::of(0),
            $more,
            InstallTime::of($plan)->hands(),
            Findings::of(...array_values($findings)),
        );
    }

    private static function bought(PlanInput $plan): self
    {
        $bought = $plan->jobs[0]->bought ?? throw new \LogicException('Nothing to be bought for this job.');
        $year = Money::of(
            $bought->power->kilowattHoursPerYear() *
                $plan->circumstances->duty->share() *
                $plan->circumstances->pricePerKilowattHour,
        );

        return new self(
            'bought',
            $bought->label,
            $bought->price,
            $year,
            $bought->hands,
            Findings::of(PlanFindings::bought($bought)),
        );
    }
}
