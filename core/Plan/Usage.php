<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Judgement\Findings;

/** From what the jobs will be used and when the box is on: the questions that come before the parts. */
final readonly class Usage implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function findings(PlanInput $plan): Findings
    {
        $findings = Findings::of();
        $client = $plan->circumstances->client;
        $duty = $plan->circumstances->duty;
        foreach ($plan->jobs as $job) {
            // A desktop computer and a phone have a browser; and where nobody said from what, nothing is wrong with it.
            $ways = array_filter([$client, in_array($client, ['desktop', 'phone'], true) ? 'browser' : '']);
            if ($ways !== [] && array_intersect($ways, $job->clients) === []) {
                $findings = $findings->and([PlanFindings::clientNotServed($job, $client)]);
            }
            if ($duty !== Duty::AroundTheClock && ($job->servesAll !== '' || $job->facesWorld)) {
                $findings = $findings->and([PlanFindings::notAlwaysOn($job, $duty)]);
            }
        }

        return $findings;
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function judge(): Findings
    {
        return self::findings($this->plan);
    }
}
