<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Catalogue\Part\BoardClass;
use Burrow\Judgement\Finding;
use Burrow\Plan\Fit\ProcessorFit;
use Burrow\Plan\PlanFindings;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Money;

/**
 * When a retired laptop or office machine is the better buy: about the same price, clearly faster, several times the
 * power.
 */
final readonly class OldMachine
{
    private const CLEARLY_FASTER = 2.5;

    /** Jobs that ask for less gain nothing from a faster machine. */
    private const DEMANDING = 12.0;

    /** @param  list<BoardClass>  $boards */
    public static function finding(PlanInput $plan, array $boards): ?Finding
    {
        if ($plan->board->powerInlet === 'barrel' || ProcessorFit::of($plan)->wanted() < self::DEMANDING) {
            return null;
        }
        $total = PartsList::of($plan)
            ->total()
            ->less($plan->drive->price ?? Money::of(0));
        foreach ($boards as $board) {
            if (
                $board->powerInlet === 'barrel' &&
                $board->price->cents <= $total->cents &&
                $board->speed >= $plan->board->speed * self::CLEARLY_FASTER
            ) {
                $more = RunningCost::of($plan->with(board: $board))
                    ->perYear()
                    ->less(RunningCost::of($plan)->perYear());

                return PlanFindings::oldMachine($board, $plan, $total, $more);
            }
        }

        return null;
    }
}
