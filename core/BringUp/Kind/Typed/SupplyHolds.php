<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\PartFindings;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\Intake\System\PowerFact;
use Burrow\Judgement\Findings;

/**
 * Whether the voltage held since the start: by the board's own flags, or by a meter where it has none. It is over by
 * what was measured, not by a word.
 */
final class SupplyHolds extends ReadOnTheBox
{
    public const VOLTS = 'volts';

    /** Value of the run: volts below which the board complains. */
    public const LEAST = 'undervoltage';

    private const LOWEST = 1.0;

    private const HIGHEST = 60.0;

    public function name(): string
    {
        return 'supply-holds';
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            Pasted::answer(),
            StepField::line(
                self::VOLTS,
                'Volts at its plug, by a meter',
                '5.04',
                'While it works, with everything plugged in. Empty where you have no meter and the board tells.',
            ),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $typed = $at->given(self::VOLTS);
        $volts = filter_var(str_replace(',', '.', $typed), FILTER_VALIDATE_FLOAT);
        if ($typed !== '' && ($volts === false || $volts < self::LOWEST || $volts > self::HIGHEST)) {
            return Outcome::notYet(PartFindings::notVolts(mb_strimwidth($typed, 0, 20, '…'), self::VOLTS));
        }
        $least = (float) ($at->facts->learned[self::LEAST] ?? 0);
        if ($volts !== false && $volts < $least) {
            return Outcome::notYet(PartFindings::voltsLow($volts, $least, self::VOLTS));
        }
        $power = $at->intake->read('power', $at->given(Pasted::FIELD))->all(PowerFact::class)[0] ?? null;
        if ($power !== null && ($power->undervoltageNow || $power->undervoltageSinceBoot)) {
            return Outcome::notYet(PartFindings::supplySags(Pasted::FIELD, $power->undervoltageNow));
        }
        if ($power === null && $volts === false) {
            return Outcome::notYet(PartFindings::supplyNotTold(self::VOLTS));
        }
        $words = array_filter([
            $power === null ? '' : 'never too low since its start',
            $volts === false ? '' : "{$volts} V at its plug",
        ]);

        return Outcome::over(implode(', ', $words), Findings::of(PartFindings::supplyHolds()));
    }
}
