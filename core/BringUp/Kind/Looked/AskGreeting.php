<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Seen\Greeting;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\Look;
use Burrow\Household\DoorState;
use Burrow\Judgement\Findings;

/** A service must greet in its own protocol: an open port alone could be anybody's. */
final class AskGreeting extends Told
{
    public function name(): string
    {
        return 'ask-greeting';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $look = $at->step->more->look ?? new Look();
        $address = $at->facts->address;
        $port = (int) $at->filled($look->port);
        if ($address === null || $port === 0) {
            return Outcome::notYet(
                $address === null ? SeenFindings::noAddress() : BringUpFindings::valueMissing('The port'),
            );
        }
        $kind = Greeting::tryFrom($look->greeting) ?? Greeting::Line;
        $said = $at->network->greeting($address, $port, $kind, $at->filled($look->path));
        if ($said === null) {
            return Door::ask($at, $address, $port)->instead(SeenFindings::greetingOther($port, $kind->label()));
        }
        $met = ["tcp/{$port}" => DoorState::Open];
        $right = $kind->fits($said, $look->shows);

        return $right
            ? Outcome::over(
                $kind->label(),
                Findings::of(SeenFindings::greetingOk($port, $kind->label())),
            )->meeting($met)
            : Outcome::notYet(SeenFindings::greetingOther($port, $kind->label()))->meeting($met);
    }
}
