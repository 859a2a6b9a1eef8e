<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use InvalidArgumentException;

/**
 * A prefix cut into longer ones, or several joined into the fewest, with who of the house would be in which: before the
 * router is told.
 */
final readonly class PrefixCut
{
    /** Prefixes that are joined at once. */
    private const MOST = 64;

    /** Parts that are shown. */
    public const SHOWN = 64;

    /**
     * @param  list<array{prefix: Prefix, hosts: int, who: list<string>}>  $parts  in their order; none where it
     *         cannot be
     * @param  bool  $joins  several were joined
     */
    private function __construct(public array $parts, public bool $joins, public Findings $findings)
    {
    }

    /**
     * @param  string  $typed  one prefix, or several with blanks or commas between
     * @param  string  $length  of the parts, as "/26" or "26"; empty where prefixes are joined
     * @param  array<string, Ipv4>  $held  name => address of everything that is known
     */
    public static function of(string $typed, string $length, array $held): self
    {
        $words = preg_split('/[\s,;]+/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $prefixes = [];
        foreach (array_slice($words, 0, self::MOST) as $word) {
            $prefix = Prefix::tryParse($word);
            if ($prefix === null) {
                return self::wrong(NetworkFindings::notAPrefixToCut($word, Place::field('cut_prefix')));
            }
            $prefixes[] = $prefix;
        }
        if ($prefixes === [] || count($words) > self::MOST) {
            return self::wrong(NetworkFindings::notAPrefixToCut($typed, Place::field('cut_prefix')));
        }
        if (count($prefixes) > 1) {
            return new self(self::who(Prefix::joined($prefixes), $held), true, Findings::of());
        }
        $into = ltrim(trim($length), '/');
        try {
            $parts = $prefixes[0]->split(ctype_digit($into) && strlen($into) < 3 ? (int) $into : 33);
        } catch (InvalidArgumentException) {
            return self::wrong(
                NetworkFindings::notSplit($prefixes[0], min(99, (int) $into), Place::field('cut_length')),
            );
        }

        return new self(self::who($parts, $held), false, Findings::of());
    }

    private static function wrong(Finding $finding): self
    {
        return new self([], false, Findings::of($finding));
    }

    /**
     * @param  list<Prefix>  $prefixes
     * @param  array<string, Ipv4>  $held
     * @return list<array{prefix: Prefix, hosts: int, who: list<string>}>
     */
    private static function who(array $prefixes, array $held): array
    {
        return array_map(
            fn (Prefix $prefix): array => [
                'prefix' => $prefix,
                'hosts' => $prefix->hosts()->size(),
                'who' => array_map(strval(...), array_keys(array_filter($held, $prefix->contains(...)))),
            ],
            $prefixes,
        );
    }
}
