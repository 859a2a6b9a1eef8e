<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\School;

/** Which school each job is installed by. What was not chosen is the first school that goes with the image. */
final readonly class SchoolChoice
{
    public string $id;

    /**
     * @param  array<string, string>  $chosen  id of a job => id of its school
     * @param  string  $label  as a person reads it
     */
    public function __construct(public array $chosen = [], public string $label = 'the usual schools')
    {
        $this->id = http_build_query($chosen);
    }

    public function of(Job $job, bool $readyMadeImage): School
    {
        $schools = $job->schools;
        foreach ($schools as $school) {
            if ($school->id === ($this->chosen[$job->id] ?? null)) {
                return $school;
            }
        }
        foreach ($schools as $school) {
            if ($school->isReadyMade() === $readyMadeImage) {
                return $school;
            }
        }

        return $schools[0];
    }

    public function choosing(Job $job, School $school): self
    {
        return new self(
            array_replace($this->chosen, [$job->id => $school->id]),
            ucfirst($job->label).' as '.$school->label,
        );
    }
}
