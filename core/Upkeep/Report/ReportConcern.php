<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Report;

use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\Reported;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\UpkeepFindings;

/** What boxes told of themselves, and what of it wants somebody. */
final readonly class ReportConcern implements Concern
{
    /** Days without a report of a box that sends one each day. */
    private const LATE = 2;

    /** Seconds that the clock of a box may be off before names, certificates and logs go wrong (common practice). */
    public const CLOCK = 300;

    /** Days that a restart may wait. */
    private const RESTART = 7;

    public function findings(Household $house): Findings
    {
        $found = [];
        foreach ($house->boxes() as $box) {
            $told = $house->report($box);
            if ($told === null) {
                continue;
            }
            $found = [...$found, ...self::of($told->box, $told->at->getTimestamp(), $told, $house)];
            // What listens is held against the record by the floor of ports, and told there.
            $open = array_values(
                array_filter(
                    Drift::of($house, $box, $told),
                    fn (Difference $one): bool => preg_match('/^(?:port|gone) /', $one->key) !== 1,
                ),
            );
            $open === [] || ($found[] = UpkeepFindings::drift($box->name, $open));
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }

    /** @return list<Finding> */
    private static function of(string $box, int $at, Reported $told, Household $house): array
    {
        $report = $told->report;
        $age = (int) floor(($house->now->getTimestamp() - $at) / 86_400);
        $off = $report->madeAt === null ? 0 : $report->madeAt - $at;

        return array_values(
            array_filter([
                $told->isExpected && $age > self::LATE ? UpkeepFindings::noReport($box, $age) : null,
                abs($off) > self::CLOCK ? UpkeepFindings::clockOff($box, $off) : null,
                $report->security !== null && $report->security !== []
                    ? UpkeepFindings::securityWaits($box, count($report->security))
                    : null,
                $report->failed !== null && $report->failed !== []
                    ? UpkeepFindings::unitsFailed($box, $report->failed)
                    : null,
                $report->undervoltage === true ? UpkeepFindings::undervoltage($box) : null,
                $report->restart === true && ($report->uptimeSeconds ?? 0) > self::RESTART * 86_400
                    ? UpkeepFindings::restartWaits($box)
                    : null,
            ]),
        );
    }
}
