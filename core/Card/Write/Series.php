<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use InvalidArgumentException;

/**
 * Several boxes of one kind: names that count up, and addresses that follow one another around what is taken or handed
 * out.
 */
final readonly class Series
{
    public const MOST = 40;

    /** @param  list<array{name: Hostname, address: Ipv4}>  $members */
    private function __construct(public array $members, public Findings $findings)
    {
    }

    /**
     * @param  string  $base  what the names begin with; the number follows after a hyphen
     * @param  list<string>  $names  of other boxes
     * @param  array<int, string>  $taken  number of an address => who has it
     *
     * @throws InvalidArgumentException for a count below 1 or above 40
     */
    public static function of(
        string $base,
        int $count,
        Ipv4 $first,
        LocalNetwork $network,
        array $names,
        array $taken,
    ): self {
        if ($count < 1 || $count > self::MOST) {
            throw new InvalidArgumentException('One to '.self::MOST.' cards at once.');
        }
        $wrong = Hostname::check("{$base}-{$count}");
        if ($wrong->blocks()) {
            return new self(
                [],
                Findings::of(
                    ...array_map(
                        fn (Finding $finding): Finding => $finding->at(Place::field('series_base')),
                        $wrong->list,
                    ),
                ),
            );
        }
        $members = [];
        $findings = Findings::of();
        $address = $first;
        for ($n = 1; $n <= $count; $n++) {
            $name = Hostname::parse("{$base}-{$n}");
            if (in_array($name->label, $names, true)) {
                $findings = $findings->and([
                    AddressFindings::nameTaken(
                        (string) $name,
                        'Choose another beginning.',
                        Place::field('series_base'),
                    ),
                ]);
            }
            while (
                $network->prefix->contains($address) &&
                ($network->against($address, '') !== null || isset($taken[$address->number]))
            ) {
                $address = $address->offset(1);
            }
            if (! $network->prefix->contains($address)) {
                return new self(
                    $members,
                    $findings->and([
                        WriteFindings::seriesTooLong(count($members), $first, $count, Place::field('series_first')),
                    ]),
                );
            }
            $members[] = ['name' => $name, 'address' => $address];
            $address = $address->offset(1);
        }

        return new self($members, $findings);
    }
}
