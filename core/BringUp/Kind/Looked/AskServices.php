<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Net\Protocol;

/** The first TCP port of every job must be open at the box's own address. */
final class AskServices extends Told
{
    public function name(): string
    {
        return 'ask-services';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $address = $at->facts->address;
        $outcome = Outcome::over('no TCP port to ask');
        foreach ($at->facts->jobs as $job) {
            $use = $job->servicePort();
            if ($use === null || $use->protocol !== Protocol::Tcp) {
                continue;
            }
            if ($address === null) {
                return Outcome::notYet(SeenFindings::noAddress());
            }
            $outcome = $outcome->with(Door::ask($at, $address, $use->port->number));
        }

        return $outcome;
    }
}
