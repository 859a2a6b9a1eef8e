<?php

declare(strict_types=1);

namespace Burrow\Addresses;

use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Place;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Net\AddressFindings;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;

/** Which addresses of a network are free for a box that must keep its own. */
final readonly class AddressBook
{
    /** The first nine stay free for the router and what else the network needs later. */
    private const FIRST_OFFSET = 10;

    /** @param  list<Taken>  $taken */
    public function __construct(private LocalNetwork $network, private array $taken)
    {
    }

    /**
     * The lowest free address outside the DHCP pool, from the tenth on where there is one; null when the network is
     * full.
     */
    public function propose(): ?Ipv4
    {
        $last = $this->network->prefix->size() - 2;
        $start = min(self::FIRST_OFFSET, $last);
        $held = [];
        foreach ($this->taken as $taken) {
            $held[$taken->address->number] = true;
        }
        $pool = $this->network->pool;
        // Whole pools are stepped over, so that a large prefix costs no more than its taken addresses.
        foreach ([[$start, $last], [1, $start - 1]] as [$from, $to]) {
            for ($offset = $from; $offset <= $to; $offset++) {
                $candidate = $this->network->prefix->network->offset($offset);
                if ($pool->contains($candidate)) {
                    $offset = $pool->last->number - $this->network->prefix->network->number;
                } elseif (! isset($held[$candidate->number]) && ! $candidate->equals($this->network->router)) {
                    return $candidate;
                }
            }
        }

        return null;
    }

    public function proposalWorking(Ipv4 $proposed): Working
    {
        $prefix = $this->network->prefix;

        return Working::of(
            'addresses.proposal',
            'Why this address',
            (string) $proposed,
            Source::standard('RFC 4632, RFC 919')->and(Source::commonPractice()),
            Line::given('network', (string) $prefix, "{$prefix->network} to {$prefix->broadcast()}"),
            Line::given('router', (string) $this->network->router),
            Line::given('handed out by the router', (string) $this->network->pool, 'DHCP pool, left alone'),
            Line::computed(
                'taken',
                implode(
                    ', ',
                    array_map(
                        fn (Taken $t): string => $t->owner.' '.$t->address,
                        array_slice($this->taken, 0, 12),
                    ),
                ) ?:
                'none',
                (string) count($this->taken),
            ),
            Line::computed(
                'lowest free',
                'from .'.self::FIRST_OFFSET.' on, outside the pool',
                (string) $proposed,
            ),
        );
    }

    /** What speaks against an address that was typed for a box. */
    public function check(string $text, string $field = 'address'): Findings
    {
        $place = Place::field($field);
        $address = Ipv4::tryParse(trim($text));
        $instead = $this->propose();
        $do = $instead === null ? 'The network is full; look for boxes that are gone.' : "Free is {$instead}.";
        if ($address === null) {
            return Findings::of(AddressFindings::notAnAddress($text, $do, $place));
        }
        $finding = $this->network->against($address, $do)?->at($place);
        if ($finding !== null) {
            return Findings::of($finding);
        }
        foreach ($this->taken as $taken) {
            if ($taken->address->equals($address)) {
                return Findings::of(AddressFindings::taken($address, $taken->owner, $do, $place));
            }
        }

        return Findings::of();
    }
}
