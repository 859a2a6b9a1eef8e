<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Door;
use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\Look;
use Burrow\Household\DoorState;
use Burrow\Judgement\Findings;

/** A page is asked for at the box's own address: its status, its title, and with TLS its certificate. */
final class AskPage extends Told
{
    public function name(): string
    {
        return 'ask-page';
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
                $address === null
                    ? SeenFindings::noAddress()
                    : BringUpFindings::valueMissing('The port of the page'),
            );
        }
        $page = $at->network->page($address, $port, $at->filled($look->path), $look->tls);
        if ($page === null) {
            return Door::ask($at, $address, $port)->instead(
                SeenFindings::pageOtherwise(
                    "Port {$port} is open, and no page answers there.",
                    'Wait a minute and look again. Then see whether it wants https.',
                ),
            );
        }
        $met = ["tcp/{$port}" => DoorState::Open];
        if (! $page->isReady()) {
            $finding = SeenFindings::pageOtherwise(
                "The page answers with {$page->status}.",
                $page->status >= 500
                    ? 'Wait a minute and look again; if it stays so, read the service\'s log.'
                    : 'Look at the path in its documentation.',
            );

            return Outcome::notYet($finding)->meeting($met);
        }
        if ($look->shows !== '' && ! Pasted::holds("{$page->title} {$page->text}", $at->filled($look->shows))) {
            $finding = SeenFindings::pageOtherwise(
                "The page answers, and does not show “{$at->filled($look->shows)}”.",
                'Perhaps another program answers on this port, or it is still loading.',
            );

            return Outcome::notYet($finding)->meeting($met);
        }
        $findings = [SeenFindings::pageOk($page->title, $page->status)];
        if ($page->certificateFor !== null) {
            $findings[] = SeenFindings::certificate(
                $page->certificateFor,
                $page->certificateUntil?->format('Y-m-d') ?? 'nobody knows when',
                $page->certificateByItself,
            );
        }

        return Outcome::over("page {$page->status}", Findings::of(...$findings))->meeting($met);
    }
}
