<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Catalogue\Job\Job;

/** A job that a box has. */
final readonly class HeldJob
{
    /**
     * @param  string  $school  by which it is set up; empty when nobody chose one
     * @param  bool  $finished  its playbook was played to its end
     */
    public function __construct(public Job $job, public string $school = '', public bool $finished = true)
    {
    }
}
