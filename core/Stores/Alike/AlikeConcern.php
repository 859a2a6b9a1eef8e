<?php

declare(strict_types=1);

namespace Burrow\Stores\Alike;

use Burrow\Household\Concern;
use Burrow\Household\Copying;
use Burrow\Household\FolderPair;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** Folders that are kept alike: what travels that should not, and what no longer travels. */
final readonly class AlikeConcern implements Concern
{
    /** Days after which somebody should look again whether both ends still hold the same (common practice). */
    private const UNSEEN = 14;

    public function findings(Household $house): Findings
    {
        $copied = array_flip(array_map(fn (Copying $one): string => $one->box, $house->copyings()));
        $found = [];
        foreach ($house->folderPairs() as $pair) {
            $found = [...$found, ...self::of($pair, $house, isset($copied[$pair->box]))];
        }

        return Findings::of(...$found);
    }

    public function isForGuests(): bool
    {
        return false;
    }

    /**
     * @param  bool  $copied  something of the box is copied elsewhere, too
     * @return list<Finding>
     */
    public static function of(FolderPair $pair, Household $house, bool $copied): array
    {
        $since = Copying::days($pair->inStep, $house->now);

        return array_values(
            array_filter([
                match (true) {
                    $pair->differs() => AlikeFindings::differs($pair),
                    $since === null => AlikeFindings::neverSeen($pair),
                    $since > self::UNSEEN => AlikeFindings::unseen($pair, $since),
                    default => null,
                },
                ($pair->conflicts ?? 0) > 0 ? AlikeFindings::conflicts($pair, (int) $pair->conflicts) : null,
                $copied ? null : AlikeFindings::isNoCopy($pair),
                $pair->keepsDays === 0 ? AlikeFindings::keepsNothing($pair) : null,
            ]),
        );
    }
}
