<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

use Burrow\Household\Reported;
use Burrow\Judgement\Findings;

/**
 * What a report that came since a box was begun tells of it: whether anything waits still, and whether it was started
 * again. A report from before tells nothing of that.
 */
final readonly class Evidence
{
    /**
     * @param  string  $words  for the journal; empty where no report came since
     * @param  ?int  $startedAt  when the box started last, in Unix seconds; null where no report since says so
     */
    private function __construct(public string $words, public ?int $startedAt, public Findings $findings)
    {
    }

    /** @param  int  $began  Unix seconds */
    public static function of(?Reported $told, int $began): self
    {
        if ($told === null || $told->at->getTimestamp() < $began) {
            return new self('', null, Findings::of());
        }
        $report = $told->report;
        // The moment it came less how long it ran: its own clock may be wrong, and is not needed.
        $startedAt =
            $report->uptimeSeconds === null ? null : $told->at->getTimestamp() - $report->uptimeSeconds;
        $again = $startedAt !== null && $startedAt >= $began;
        $waiting = $report->pending === null ? null : count($report->pending);
        $findings = [
            $waiting !== null && $waiting > 0 ? RoundFindings::stillWaiting($told->box, $waiting) : null,
            $report->restart === true && ! $again ? RoundFindings::notStartedAgain($told->box) : null,
        ];

        return new self(
            implode(
                ', ',
                array_filter([
                    $waiting === 0 ? 'its report shows nothing that waits' : '',
                    $waiting !== null && $waiting > 0 ? "its report shows {$waiting} that wait still" : '',
                    $again ? 'it was started again' : '',
                    $report->restart === true && ! $again ? 'it asks for a restart still' : '',
                ]),
            ),
            $again ? $startedAt : null,
            Findings::of(...array_filter($findings)),
        );
    }
}
