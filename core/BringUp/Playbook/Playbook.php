<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\Step;

/** One way of bringing a box up for one job: what comes before, the job's own steps, and what closes it. */
final readonly class Playbook
{
    /**
     * @param  string  $job  id in the catalogue
     * @param  string  $school  one of the job's
     * @param  list<Step>  $arrive  from the card in the board to a system that is up to date
     * @param  list<Step>  $again  those of them that are also played when a box in service gets this job
     * @param  list<Step>  $steps
     * @param  list<Step>  $close
     */
    public function __construct(
        public string $job,
        public string $school,
        public array $arrive,
        public array $again,
        public array $steps,
        public array $close,
    ) {
    }
}
