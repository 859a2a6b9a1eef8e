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

/** What there is before a move, counted by a person; what the record knows stands there already. */
final class Counted extends Told
{
    public const FIELD = 'counted';

    /** The value of the run that holds it. */
    public const VALUE = 'inventory';

    public function name(): string
    {
        return 'inventory';
    }

    public function place(): StepPlace
    {
        return StepPlace::Page;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::text(
                self::FIELD,
                'What there is',
                "12 devices\n7 automations",
                'One in a line with its number, at most '.Inventory::MOST_LINES.' lines.',
                '{{'.self::VALUE.'}}',
            ),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $inventory = Inventory::read($at->given(self::FIELD));
        $wrong = self::unread($inventory);
        if ($inventory->isEmpty()) {
            $wrong[] = InventoryFindings::nothingCounted(self::FIELD);
        }
        if ($wrong !== []) {
            return Outcome::notYet(Findings::of(...$wrong));
        }

        return Outcome::over(
            count($inventory->things).' kinds, '.$inventory->total().' in all',
            values: [self::VALUE => (string) $inventory],
        );
    }

    /** @return list<\Burrow\Judgement\Finding> */
    public static function unread(Inventory $inventory): array
    {
        return [
            ...$inventory->tooLong ? [InventoryFindings::tooMuchCounted(self::FIELD)] : [],
            ...$inventory->unread === []
                ? []
                : [InventoryFindings::lineNotCounted($inventory->unread, self::FIELD)],
        ];
    }
}
