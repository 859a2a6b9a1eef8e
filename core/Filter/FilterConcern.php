<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Household\Box;
use Burrow\Household\Concern;
use Burrow\Household\Household;
use Burrow\Household\NameCheck;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** Whether names are refused and answered as they should be, and whether everybody asks the filter. */
final readonly class FilterConcern implements Concern
{
    /** Days after which what was seen to hold is old; this machine itself asks every hour. */
    private const OLD = 2;

    /** Days after which somebody should ask from a client again (common practice). */
    private const OLD_CLIENT = 90;

    public function findings(Household $house): Findings
    {
        return Findings::of(...$this->proofs($house), ...$this->resolvers($house));
    }

    public function isForGuests(): bool
    {
        return false;
    }

    /** @return list<Finding> */
    private function proofs(Household $house): array
    {
        $found = $failed = [];
        foreach ($house->nameChecks() as $check) {
            if ($check->held === false) {
                $failed[$check->box][] = $check;
            }
        }
        foreach ($failed as $box => $checks) {
            $found[] = FilterFindings::proofFailed((string) $box, $checks);
        }
        $old = [];
        foreach ($house->nameChecks() as $check) {
            $days = $check->askedAt === null ? null : $check->askedAt->diff($house->now)->days;
            if ($days !== null && $days > ($check->via === '' ? self::OLD : self::OLD_CLIENT)) {
                $old[$check->via === '' ? 'this machine' : $check->via] = $days;
            }
        }
        foreach ($old as $via => $days) {
            $found[] = FilterFindings::proofOld((string) $via, (int) $days);
        }

        return $found;
    }

    /** @return list<Finding> what the router hands out beside the filters, and how the filters ask further */
    private function resolvers(Household $house): array
    {
        $filters = array_values(
            array_filter(
                $house->standing(),
                fn (Box $box): bool => $box->servesAll() === 'names' && $box->address !== null,
            ),
        );
        if ($filters === []) {
            return [];
        }
        $own = array_map(fn (Box $box): string => (string) $box->address, $filters);
        $handed = $house->resolvers()->handedOut;
        $others = array_values(array_diff($handed, $own));
        $found = [];
        if ($handed !== [] && array_intersect($handed, $own) !== [] && $others !== []) {
            $found[] = FilterFindings::besideFilter($others);
        }
        if (count($filters) === 1 && $handed === $own) {
            $found[] = FilterFindings::oneFilter($filters[0]->name);
        }
        foreach ($filters as $box) {
            $box->keepsAddress || ($found[] = FilterFindings::mayMove($box->name));
        }
        // The router sends its own questions to the filter, and the filter sends its to the router.
        foreach ($filters as $box) {
            $asks = $house->resolvers()->asks[$box->name] ?? [];
            if (
                in_array((string) $box->address, $house->resolvers()->routerAsks, true) &&
                in_array($house->resolvers()->router, $asks, true)
            ) {
                $found[] = FilterFindings::loop($box->name);
            }
        }

        return $found;
    }

    /** @param  list<NameCheck>  $checks */
    public static function named(array $checks): string
    {
        $names = array_map(
            fn (NameCheck $one): string => $one->name.
                ($one->via === '' ? '' : " asked by {$one->via}").
                ": {$one->said}",
            array_slice($checks, 0, 3),
        );

        return implode('; ', $names).(count($checks) > 3 ? '; and more' : '');
    }
}
