<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;

/** The key that the box shows is written down, so that a stranger in its place is noticed later. */
final class KeepHostKey extends Told
{
    public function name(): string
    {
        return 'keep-host-key';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $found = $at->facts->found();

        return $found === null ? Outcome::notYet(SeenFindings::noAddress()) : Door::hostKey($at, $found);
    }
}
