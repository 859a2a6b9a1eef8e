<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Addresses\Described\NamedRange;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Address;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Prefix;

/** What a household may say of its network beside prefix, router and pool, as it is typed in Settings. */
final readonly class NetworkExtras
{
    private const SERVERS = 10;

    private const RANGES = 50;

    /**
     * @param  list<Ipv4|Ipv6>  $dns  in their order
     * @param  list<NamedRange>  $ranges
     */
    private function __construct(
        public array $dns,
        public ?Ipv6Prefix $ipv6,
        public array $ranges,
        public Findings $findings,
    ) {
    }

    /**
     * @param  string  $dns  addresses between blanks or commas
     * @param  string  $ipv6  a unique-local prefix, or empty
     * @param  string  $ranges  a line each: "servers 172.22.8.10 172.22.8.49"
     */
    public static function of(string $dns, string $ipv6, string $ranges, ?Prefix $prefix): self
    {
        $findings = [];
        $servers = [];
        foreach (
            array_slice(preg_split('/[\s,]+/', $dns, -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, self::SERVERS) as $text
        ) {
            $address = Address::tryParse($text);
            if ($address === null) {
                $findings[] = NetworkFindings::unreadable(
                    'the name servers',
                    $text,
                    'address',
                    Place::field('dns'),
                );
            } else {
                $servers[] = $address;
            }
        }
        $local = trim($ipv6) === '' ? null : Ipv6Prefix::tryParse(trim($ipv6));
        if (trim($ipv6) !== '' && $local?->network->isUniqueLocal() !== true) {
            $findings[] = NetworkFindings::unreadable(
                'IPv6',
                trim($ipv6),
                $local === null ? 'IPv6 prefix' : 'unique-local prefix',
                Place::field('ipv6'),
            );
        }
        $named = [];
        foreach (array_slice(explode("\n", str_replace("\r", '', $ranges)), 0, self::RANGES) as $line) {
            $one = trim($line) === '' ? null : self::range(trim($line), $prefix);
            if ($one instanceof Finding) {
                $findings[] = $one;
            } elseif ($one !== null) {
                $named[] = $one;
            }
        }

        return new self($servers, $local, $named, Findings::of(...$findings));
    }

    /** @param  list<NamedRange>  $ranges */
    public static function lines(array $ranges): string
    {
        return implode(
            "\n",
            array_map(
                fn (NamedRange $one): string => "{$one->name} {$one->range->first} {$one->range->last}",
                $ranges,
            ),
        );
    }

    private static function range(string $line, ?Prefix $prefix): NamedRange|Finding
    {
        $place = Place::field('ranges');
        $words = preg_split('/[\s,]+/u', (string) preg_replace('/(?<=\d)[-–](?=\d)/u', ' ', $line)) ?: [];
        $words = array_values(
            array_filter($words, fn (string $word): bool => ! in_array($word, ['-', '–', 'to'], true)),
        );
        $name = mb_substr(implode(' ', array_slice($words, 0, -2)), 0, 60);
        if (count($words) < 3) {
            return NetworkFindings::unreadable('the scheme', $line, 'range', $place);
        }
        [$from, $to] = array_slice($words, -2);
        $first = Ipv4::tryParse($from);
        $last = Ipv4::tryParse($to);

        return match (true) {
            $first === null => NetworkFindings::unreadable('the scheme', $from, 'address', $place),
            $last === null => NetworkFindings::unreadable('the scheme', $to, 'address', $place),
            $last->number < $first->number => NetworkFindings::rangeBackwards("“{$name}”", $from, $to, $place),
            $prefix !== null && (! $prefix->contains($first) || ! $prefix->contains($last)) => NetworkFindings::outside("“{$name}”", AddressRange::between($first, $last), $prefix, $place),
            default => new NamedRange($name, AddressRange::between($first, $last)),
        };
    }
}
