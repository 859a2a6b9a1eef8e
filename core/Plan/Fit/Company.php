<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** Which jobs should not share a box. */
final readonly class Company implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    /** RFC 4253, section 4.1. */
    private const REMOTE_LOGIN = 22;

    /** Below it a service is found by its number alone (RFC 6335), except pages: their port can be typed. */
    private const SYSTEM_PORTS = 1024;

    private const PAGES = [80, 443];

    /** Where pages that cannot have their usual port are put first; common practice. */
    private const MOVED = 8080;

    public static function findings(PlanInput $plan): Findings
    {
        $findings = Findings::of();
        foreach ($plan->jobs as $job) {
            foreach ($plan->jobs as $other) {
                $finding = $job === $other ? null : self::together($job, $other);
                if ($finding !== null) {
                    $findings = $findings->and([$finding]);
                }
            }
        }

        return $findings->and(self::ports($plan->jobs));
    }

    /**
     * Remote login is the system's own service: jobs that name it share it. A port that is asked is given a number
     * that is free.
     *
     * @param  list<Job>  $jobs
     * @return list<Finding>
     */
    private static function ports(array $jobs): array
    {
        $wanted = $held = [];
        foreach ($jobs as $job) {
            foreach ($job->ports as $use) {
                $held[$use->port->number] = true;
                if ($use->port->number !== self::REMOTE_LOGIN && ! $use->asked) {
                    $wanted["{$use->port->number}/{$use->protocol->value}"][] = $job->label;
                }
            }
        }
        $findings = [];
        foreach (array_filter($wanted, fn (array $labels): bool => count($labels) > 1) as $port => $labels) {
            $number = (int) $port;
            $mayMove = $number >= self::SYSTEM_PORTS || in_array($number, self::PAGES, true);
            for ($free = max(self::MOVED, $number + 1); isset($held[$free]); $free++);
            $findings[] = FitFindings::companyOfPorts($labels, $port, $mayMove, $free);
        }

        return $findings;
    }

    private static function together(Job $job, Job $other): ?Finding
    {
        $pair = ucfirst($job->label)." and {$other->label} on one box.";

        return match (true) {
            $job->servesAll !== '' && ($other->restarts || $other->heavy) => FitFindings::companyOfAFilter(
                $pair,
                $other,
                $job,
            ),
            $job->id === 'print-host' && $other->heavy => FitFindings::companyOfAPrinter($pair),
            $job->facesWorld && $other->householdFiles => FitFindings::companyOfFiles($pair),
            default => null,
        };
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
