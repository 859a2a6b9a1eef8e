<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Household\Concern;
use Burrow\Household\DriveHealth;
use Burrow\Household\Fill;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use DateTimeImmutable;

/** Disks that will be full soon, and drives whose counters grow. */
final readonly class StoresConcern implements Concern
{
    /** Days in which somebody can still do something about it (common practice). */
    public const SOON = 60;

    /** Days before the end of a warranty in which a long test still comes in time (common practice). */
    private const WARRANTY = 45;

    /** Of the erase cycles (common practice). */
    private const WORN = 80;

    public function findings(Household $house): Findings
    {
        $findings = [];
        foreach ($house->fills() as $fill) {
            $finding = self::ofFill($fill, $house->now->getTimestamp());
            $finding === null || ($findings[] = $finding);
        }
        foreach ($house->drives() as $drive) {
            $found = self::ofDrive($drive);
            $findings = [...$findings, ...$found, ...self::ofWarranty($drive, $found !== [], $house->now)];
        }

        return Findings::of(...$findings);
    }

    public function isForGuests(): bool
    {
        return true;
    }

    public static function forecast(Fill $fill, ?int $now = null): FillForecast
    {
        return FillForecast::of(
            $fill->bytes,
            array_map(fn (array $one): FillSample => new FillSample($one[0], $one[1]), $fill->samples),
            $now,
        );
    }

    private static function ofFill(Fill $fill, int $now): ?Finding
    {
        $forecast = self::forecast($fill, $now);
        $used = $forecast->usedPercent();
        if ($used >= 85) {
            return DiskFindings::fullOn($fill->box, $fill->mount, $used);
        }
        $when = $forecast->reaches(0.85)['from'];

        return $when !== null && $when - $now < self::SOON * 86400
            ? DiskFindings::fullSoon($fill->box, $fill->mount, $used, (int) ceil(($when - $now) / 86400))
            : null;
    }

    /**
     * @param  bool  $isBad  something else is said of the drive
     * @return list<Finding>
     */
    private static function ofWarranty(DriveHealth $drive, bool $isBad, DateTimeImmutable $now): array
    {
        $until = $drive->warrantyUntil;
        if ($until === null) {
            return [];
        }
        $left = (int) floor(($until->getTimestamp() - $now->getTimestamp()) / 86400);

        return match (true) {
            $left < 0 => [],
            $isBad => [DiskFindings::underWarranty($drive, $until)],
            $left <= self::WARRANTY => [DiskFindings::warrantyEnds($drive, $until)],
            default => [],
        };
    }

    /** @return list<Finding> */
    public static function ofDrive(DriveHealth $drive): array
    {
        $found = [];
        if ($drive->passed === false) {
            $found[] = DiskFindings::failing($drive);
        }
        foreach (
            [
                ['replaced sectors', $drive->reallocated, $drive->reallocatedFirst],
                ['sectors that cannot be read', $drive->pending, $drive->pendingFirst],
            ] as [$what, $now, $first]
        ) {
            if ($now !== null && $now > 0) {
                $found[] =
                    $first !== null && $now > $first
                        ? DiskFindings::counterGrows($drive, $what, $first, $now)
                        : DiskFindings::counterStands($drive, $what, $now);
            }
        }
        if (($drive->wearPercent ?? 0) >= self::WORN) {
            $found[] = DiskFindings::worn($drive, (int) $drive->wearPercent);
        }

        return $found;
    }
}
