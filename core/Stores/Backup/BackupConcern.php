<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\Copying;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** Copies that are missing, late, untried, in the wrong place, or open to others. */
final readonly class BackupConcern implements Concern
{
    /** Days after which a daily copy is late. */
    private const LATE = 2;

    /** Days after which a copy is to be brought back again (common practice: twice a year). */
    public const DRILL = 180;

    public function findings(Household $house): Findings
    {
        $found = $copied = $elsewhere = [];
        foreach ($house->copyings() as $one) {
            $copied[$one->box] = true;
            $elsewhere[$one->box] = ($elsewhere[$one->box] ?? false) || $one->elsewhere;
            $found = [...$found, ...self::of($one, $house)];
        }
        $files = $others = [];
        foreach ($house->standing() as $box) {
            if (isset($copied[$box->name]) || $box->jobs === []) {
                continue;
            }
            self::keepsFiles($box) ? ($files[] = $box->name) : ($others[] = $box->name);
        }
        $files === [] || ($found[] = BackupFindings::noCopyOfFiles($files));
        $others === [] || ($found[] = BackupFindings::noCopy($others));
        $inHouse = array_keys(array_filter($elsewhere, fn (bool $is): bool => ! $is));
        $inHouse === [] || ($found[] = BackupFindings::nothingElsewhere(array_map(strval(...), $inHouse)));

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }

    /** @return list<Finding> of one backup */
    public static function of(Copying $one, Household $house): array
    {
        $found = [];
        $ran = Copying::days($one->ran, $house->now);
        $tried = Copying::days($one->tried, $house->now);
        $found[] = match (true) {
            $one->failed !== null && ($one->ran === null || $one->failed > $one->ran) => BackupFindings::failed($one),
            $ran === null => BackupFindings::neverRan($one),
            $ran > self::LATE => BackupFindings::late($one, $ran),
            default => null,
        };
        $found[] = match (true) {
            $tried === null => $ran === null ? null : BackupFindings::neverTried($one),
            ! $one->worked => BackupFindings::drillFailed($one),
            $tried > self::DRILL => BackupFindings::triedLongAgo($one, $tried),
            default => null,
        };
        $found[] = $one->to === $one->box ? BackupFindings::sameBox($one) : null;
        $found[] = $one->elsewhere && ! $one->encrypted ? BackupFindings::openElsewhere($one) : null;
        $found[] = $one->encrypted && ! $one->keyKept ? BackupFindings::keyOnBoxOnly($one) : null;

        return array_values(array_filter($found));
    }

    private static function keepsFiles(Box $box): bool
    {
        return array_filter($box->jobs, fn (HeldJob $held): bool => $held->job->householdFiles) !== [];
    }
}
