<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\InventoryFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\Inventory;
use Burrow\Judgement\Findings;

/**
 * Counted once more after a move: over when nothing is missing. The old numbers are not shown, so that somebody counts.
 */
final class CountedAgain extends Told
{
    public function name(): string
    {
        return 'inventory-again';
    }

    public function place(): StepPlace
    {
        return StepPlace::Page;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::text(
                Counted::FIELD,
                'What there is now',
                "12 devices\n7 automations",
                'The same lines, with the numbers that you see now.',
            ),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $before = Inventory::read($at->facts->learned[Counted::VALUE] ?? '');
        $after = Inventory::read($at->given(Counted::FIELD));
        $wrong = Counted::unread($after);
        if ($after->isEmpty()) {
            $wrong[] = InventoryFindings::nothingCounted(Counted::FIELD);
        } elseif (($less = $before->lessIn($after)) !== []) {
            $wrong[] = InventoryFindings::notAllThere($less, Counted::FIELD);
        }
        if ($wrong !== []) {
            return Outcome::notYet(Findings::of(...$wrong));
        }
        $more = $after->lessIn($before);

        return Outcome::over(
            'nothing is missing of '.$before->total(),
            $more === [] ? null : Findings::of(InventoryFindings::moreThanBefore($more)),
            ['inventory_after' => (string) $after],
        );
    }
}
