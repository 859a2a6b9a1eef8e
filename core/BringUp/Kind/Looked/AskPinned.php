<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\StepPlace;

/** It answers at its own address, with the key that was kept: the reservation holds. */
final class AskPinned extends Told
{
    public function name(): string
    {
        return 'ask-pinned';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $outcome = Door::atItsAddress($at);

        return $outcome->over
            ? $outcome->with(Outcome::over($outcome->words, learned: new Learned(pinned: true)))
            : $outcome;
    }
}
