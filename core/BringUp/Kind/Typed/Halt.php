<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\Step;
use Burrow\Household\DoorState;

/** A clean shut-down before the power is pulled: over when nothing of the box answers any more. */
final class Halt extends ReadOnTheBox
{
    public function name(): string
    {
        return 'halt';
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [];
    }

    public function judge(Judging $at): Outcome
    {
        $address = $at->facts->address;
        if ($address === null) {
            return Outcome::over('shut down, by your word');
        }

        return $at->network->door($address, Door::REMOTE_LOGIN) === DoorState::Silent
            ? Outcome::over('silent: it is off')
            : Outcome::notYet(SeenFindings::stillOn($address));
    }
}
