<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/**
 * Which machine of a list is the box: what is new since the list before the power came, what has its hardware address,
 * its name, the maker of boxes that are there already, an open port for remote login. Each reason is said, and has a
 * weight; the sum orders the list and is no probability.
 */
final class Candidates
{
    private const HARDWARE = 100;

    private const NAME = 60;

    private const IS_NEW = 40;

    private const MAKER = 20;

    private const LOGIN = 15;

    private const MADE_UP = -25;

    /** It is somebody else than the one who is looked for. */
    private const OTHER = -200;

    /** Nobody in particular is looked for, so what is ours already comes after the strangers. */
    private const OURS = -30;

    /**
     * @param  list<Seen>  $now
     * @param  ?list<Seen>  $before  the list that was kept; null when none was
     * @param  array<string, string>  $makers  the first three pairs of a hardware address => who has them, from a list
     * @return list<Candidate> the likeliest first
     */
    public static function among(
        array $now,
        ?array $before,
        Ours $ours,
        ?Wanted $wanted = null,
        array $makers = [],
    ): array {
        $old = $before === null ? null : array_flip(array_map(fn (Seen $one): string => $one->key(), $before));
        $names = array_count_values(array_filter(array_map(fn (Seen $one): string => $one->label(), $now)));
        $candidates = array_map(
            fn (Seen $seen): Candidate => self::judge($seen, $old, $ours, $wanted, $makers, $names),
            $now,
        );
        usort(
            $candidates,
            fn (Candidate $one, Candidate $other): int => [$other->weight, self::number($one)] <=> [
                $one->weight,
                self::number($other),
            ],
        );

        return $candidates;
    }

    /**
     * Machines of the list before that are not there any more.
     *
     * @param  list<Seen>  $now
     * @param  list<Seen>  $before
     * @return list<Seen>
     */
    public static function gone(array $now, array $before): array
    {
        $here = array_flip(array_map(fn (Seen $one): string => $one->key(), $now));

        return array_values(array_filter($before, fn (Seen $one): bool => ! isset($here[$one->key()])));
    }

    /**
     * @param  ?array<string, int>  $old
     * @param  array<string, string>  $makers
     * @param  array<string, int>  $names
     */
    private static function judge(
        Seen $seen,
        ?array $old,
        Ours $ours,
        ?Wanted $wanted,
        array $makers,
        array $names,
    ): Candidate {
        $box = $ours->boxes[$seen->mac ?? ''] ?? null;
        $device = $ours->devices[$seen->key()] ?? null;
        $isNew = $old !== null && ! isset($old[$seen->key()]);
        $isWanted = $wanted !== null && $box === $wanted->name;
        $said = [];
        if ($wanted?->mac !== null && $seen->mac === $wanted->mac) {
            $said[] = [self::HARDWARE, 'it has its hardware address'];
        } elseif ($box !== null && ! $isWanted) {
            $said[] = [$wanted === null ? self::OURS : self::OTHER, "it is {$box}"];
        } elseif ($device !== null) {
            $said[] = [$wanted === null ? self::OURS : self::OTHER, "it is known: {$device}"];
        }
        if ($wanted !== null && $seen->label() === strtolower($wanted->name)) {
            $said[] = [self::NAME, 'it calls itself so'];
            if (($names[$seen->label()] ?? 0) > 1) {
                $said[] = [0, 'another one calls itself so, too'];
            }
        }
        if ($isNew) {
            $said[] = [self::IS_NEW, 'it was not in the list before'];
        }
        if ($box === null && $device === null && $seen->mac !== null) {
            $same = $ours->sameMaker($seen->mac);
            $maker = $makers[substr($seen->mac, 0, 8)] ?? null;
            if ($same !== null) {
                $said[] = [self::MAKER, "its hardware address begins like that of {$same}"];
            } elseif ($seen->isMadeUp()) {
                $said[] = [self::MADE_UP, 'it made its hardware address up itself, as phones do'];
            }
            $maker === null || ($said[] = [0, "made by {$maker}"]);
        }
        if (in_array(22, $seen->open, true)) {
            $said[] = [self::LOGIN, 'its port for remote login is open'];
        }
        $recorded = $ours->addresses[$seen->address] ?? null;
        if ($recorded !== null && $box !== $recorded) {
            $said[] = [0, "its address is on record for {$recorded}"];
        }
        usort($said, fn (array $one, array $other): int => abs($other[0]) <=> abs($one[0]));

        return new Candidate(
            $seen,
            $box !== null ? SeenAs::Ours : ($device !== null ? SeenAs::Known : SeenAs::Stranger),
            $box ?? ($device ?? ''),
            $isNew,
            array_sum(array_column($said, 0)),
            array_column($said, 1),
        );
    }

    private static function number(Candidate $candidate): string
    {
        return str_pad((string) @inet_pton($candidate->seen->address), 16, "\0", STR_PAD_LEFT);
    }

    private function __construct()
    {
    }
}
