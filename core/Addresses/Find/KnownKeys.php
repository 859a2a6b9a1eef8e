<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

use Burrow\Intake\Keys\KeySeen;

/**
 * A known_hosts file held against the keys that the household keeps: entries may hide their host behind a hash, so each
 * box is asked for by every name that it has.
 */
final class KnownKeys
{
    /** Names that are tried on entries in all: a hidden host costs a digest each. */
    private const COMPARED = 400_000;

    /** So many entries of a file are looked at however many boxes there are; nobody's memory is longer. */
    private const FEWEST = 400;

    /**
     * @param  list<KeySeen>  $entries  of the file
     * @param  array<string, array{names: list<string>, sha256: ?string}>  $boxes  by what they are called: every name and
     *                                                                            address they have or had, the key kept
     * @return list<KnownKey> one for each box and name that stands in the file, the troubled first
     */
    public static function against(array $entries, array $boxes): array
    {
        $found = [];
        $names = array_sum(array_map(fn (array $one): int => count($one['names']), $boxes));
        $entries = array_slice($entries, 0, max(self::FEWEST, intdiv(self::COMPARED, max(1, $names))));
        foreach ($boxes as $box => $known) {
            foreach ($known['names'] as $name) {
                foreach ($entries as $entry) {
                    // A key of another type says nothing about the one that is kept.
                    if ($entry->mark === null && $entry->sha256 !== null && $entry->isFor($name)) {
                        $found["{$box} {$name} {$entry->type}"] = new KnownKey(
                            $box,
                            $name,
                            (string) $entry->type,
                            $entry->sha256,
                            match (true) {
                                $known['sha256'] === null => null,
                                default => hash_equals($known['sha256'], $entry->sha256),
                            },
                        );
                    }
                }
            }
        }
        // One right key of a name is enough: a host shows several, and one of them is kept.
        $right = [];
        foreach ($found as $one) {
            $right["{$one->box} {$one->name}"] =
                ($right["{$one->box} {$one->name}"] ?? false) || $one->same === true;
        }
        $found = array_values(
            array_filter(
                $found,
                fn (KnownKey $one): bool => $one->same !== false || ! $right["{$one->box} {$one->name}"],
            ),
        );
        usort($found, fn (KnownKey $one, KnownKey $other): int => self::order($one) <=> self::order($other));

        return $found;
    }

    /** @return array{int, string, string} */
    private static function order(KnownKey $key): array
    {
        return [$key->same === false ? 0 : ($key->same === null ? 1 : 2), $key->box, $key->name];
    }

    private function __construct()
    {
    }
}
