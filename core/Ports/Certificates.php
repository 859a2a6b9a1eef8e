<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Certificate;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** Certificates of pages that end soon, have ended, or were replaced when nobody expected it. */
final readonly class Certificates implements Concern
{
    /** Days before its end when somebody should look (common practice: renewals that work come before that). */
    private const SOON = 21;

    /** A new certificate comes when a third of the old one's days are left, or later (common practice). */
    private const RENEWED_FROM = 90;

    /** Days for which a change is told. */
    private const TOLD = 30;

    public function findings(Household $house): Findings
    {
        $found = [];
        foreach ($house->certificates() as $one) {
            $left = $one->daysLeft($house->now);
            if ($left !== null && $left < self::SOON) {
                $found[] = PortFindings::certificateEnds($one, $left);
            }
            if ($one->starts !== null && $one->starts > $house->now) {
                $found[] = PortFindings::certificateNotYet($one);
            }
            if (self::changedUnexpectedly($one, $house)) {
                $found[] = PortFindings::certificateChanged($one);
            }
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return true;
    }

    private static function changedUnexpectedly(Certificate $one, Household $house): bool
    {
        $days = fn (int $seconds): int => (int) floor($seconds / 86400);

        return $one->changed !== null &&
            $one->beforeEnded !== null &&
            $days($house->now->getTimestamp() - $one->changed->getTimestamp()) < self::TOLD &&
            $days($one->beforeEnded->getTimestamp() - $one->changed->getTimestamp()) > self::RENEWED_FROM;
    }
}
