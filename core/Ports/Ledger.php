<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Household;
use Burrow\Household\WhoReaches;

/** Every port of every box: those of the record, and those that were heard and are in none. */
final class Ledger
{
    /** @return list<LedgerRow> worst first */
    public static function of(Household $house): array
    {
        $rows = [];
        foreach ($house->boxes() as $box) {
            $pairs = array_filter(
                Comparison::of($house, $box)->pairs,
                fn (Pair $pair): bool => $pair->met !== Met::System,
            );
            $at = [];
            foreach ($pairs as $pair) {
                $at[$pair->place()][] = $pair;
            }
            foreach ($pairs as $pair) {
                $service = $pair->service;
                $rivals = $service === null || count($at[$pair->place()]) === 1 ? [] : $at[$pair->place()];
                $rows[] = new LedgerRow(
                    $box->name,
                    $pair,
                    $service === null
                        ? ($pair->heard?->isLoopback() === true
                            ? WhoReaches::Box
                            : WhoReaches::House)
                        : $house->reaches($service),
                    array_filter(
                        $rivals,
                        fn (Pair $other): bool => $other !== $pair &&
                            $service !== null &&
                            $other->service?->clashesWith($service) === true,
                    ) !== [],
                );
            }
        }
        // A rank is made of several looks, so each row is asked once.
        $order = array_map(fn (LedgerRow $row): int => $row->rank() * 65536 + $row->number(), $rows);
        asort($order);

        return array_map(fn (int $at): LedgerRow => $rows[$at], array_keys($order));
    }

    private function __construct()
    {
    }
}
