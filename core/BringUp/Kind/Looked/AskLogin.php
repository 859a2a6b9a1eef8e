<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;

/** Port 22 is asked where the box was found. */
final class AskLogin extends Told
{
    public function name(): string
    {
        return 'ask-login';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $found = $at->facts->found();

        return $found === null ? Outcome::notYet(SeenFindings::noAddress()) : Door::ask($at, $found);
    }
}
