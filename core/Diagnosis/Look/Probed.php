<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Look;

use Burrow\Household\DoorState;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Neighbours\Neighbour;
use Burrow\Intake\Own\OwnAddress;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Prefix;
use DateTimeImmutable;

/** What probes met and lists hold, as answers to the checks. Null is “not asked”, and nothing is noted then. */
final class Probed
{
    /** HTTP's “come again later” (RFC 9110 15.6.4). */
    private const UNAVAILABLE = 503;

    /**
     * @param  ?DoorState  $login  port 22
     * @param  ?bool  $sameKey  its host key is the one on record; null where no key was read or none is kept
     * @param  list<DoorState>  $others  its other ports
     * @param  ?bool  $echo  whether it sent an echo back; null where nobody could ask for one
     */
    public static function reach(
        ?DoorState $login,
        ?bool $sameKey,
        array $others,
        ?bool $echo = null,
    ): ?string {
        return match (true) {
            $login === null => null,
            $login === DoorState::Open && $sameKey === false => 'stranger',
            $login === DoorState::Open => 'login',
            $login === DoorState::Refused => 'refused',
            // A port that refuses, or is open, says that somebody is there: 22 alone is dropped.
            array_filter($others, fn (DoorState $one): bool => $one !== DoorState::Silent) !== [],
            $echo === true => 'ping-only',
            default => 'silent',
        };
    }

    /**
     * Where its name leads.
     *
     * @param  ?NameAnswer  $resolver  what the house's resolver said of it; null where none was asked
     * @param  ?string  $multicast  what the machine at its address calls itself; null where nobody said
     * @param  bool  $alive  somebody answers at its address
     */
    public static function name(
        ?NameAnswer $resolver,
        ?string $multicast,
        string $name,
        string $address,
        bool $alive,
    ): ?string {
        $known = $resolver?->isAnswered() === true;
        $here = $known && in_array($address, $resolver->addresses, true);

        return match (true) {
            $known && ! $here => 'wrong-address',
            // Where the name leads tells nothing of a machine that does not answer there.
            ! $alive => $resolver === null ? null : 'nothing',
            $here, $multicast === $name => 'answers',
            $resolver === null => null,
            default => 'address-only',
        };
    }

    /**
     * A page's certificate, by what is worst about it.
     *
     * @param  list<string>  $names  names and addresses it is for (RFC 5280 4.2.1.6)
     * @param  bool  $own  signed by itself
     * @param  bool  $changed  not the one on record
     * @param  list<string>  $for  names and addresses that the page is opened by, of which it has to hold one
     */
    public static function certificate(
        ?DateTimeImmutable $starts,
        ?DateTimeImmutable $ends,
        array $names,
        bool $own,
        bool $changed,
        array $for,
        DateTimeImmutable $now,
    ): string {
        return match (true) {
            $ends !== null && $ends < $now => 'expired',
            $starts !== null && $starts > $now => 'not-yet',
            array_filter($for, fn (string $one): bool => self::isFor($names, $one)) === [] => 'other-name',
            $changed => 'changed',
            $own => 'own',
            default => 'good',
        };
    }

    /**
     * A star stands for one whole label (RFC 9525 6.3).
     *
     * @param  list<string>  $names
     */
    private static function isFor(array $names, string $name): bool
    {
        $name = strtolower($name);
        $star = '*'.(string) strstr($name, '.');
        $names = array_map(strtolower(...), $names);

        return in_array($name, $names, true) || ($star !== '*' && in_array($star, $names, true));
    }

    /**
     * What the card holds by what was said of its files when they were made here; null where that tells nothing, since
     * files without a fault may have come onto a card that has one.
     *
     * @param  list<string>  $codes  of findings
     */
    public static function card(array $codes): ?string
    {
        foreach ($codes as $code) {
            $answer = match (true) {
                str_starts_with($code, 'card.country_') => 'country',
                str_starts_with($code, 'card.ssid_') => 'radio-name',
                in_array(
                    $code,
                    ['card.gateway_outside', 'card.address_of_network', 'net.outside_prefix'],
                    true,
                ) => 'address',
                str_starts_with($code, 'card.remote_login_') => 'no-login',
                default => null,
            };
            if ($answer !== null) {
                return $answer;
            }
        }

        return null;
    }

    /** @param  list<DoorState>  $doors  one of every other box */
    public static function neighbours(array $doors): ?string
    {
        $silent = count(array_filter($doors, fn (DoorState $one): bool => $one === DoorState::Silent));

        return match (true) {
            $doors === [] => null,
            $silent === 0 => 'all',
            $silent === count($doors) => 'none',
            default => 'some',
        };
    }

    /** @param  ?int  $status  of HTTP; null when the port was open and said nothing of a page */
    public static function page(?DoorState $door, ?int $status, string $text): ?string
    {
        return match (true) {
            $door === null => null,
            $door === DoorState::Silent => 'silent',
            $door === DoorState::Refused => 'refused',
            $status === null => 'error',
            $status === self::UNAVAILABLE,
            preg_match('/\b(?:loading|preparing|starting up)\b/i', $text) === 1 => 'loading',
            $status >= 400 && $status !== 401 && $status !== 403 => 'error',
            preg_match(
                '/create (?:an? )?(?:owner|account|admin)|first[- ]time set-?up|welcome wizard/i',
                $text,
            ) === 1 => 'wizard',
            default => 'answers',
        };
    }

    /**
     * The box in the router's list: by its hardware address, else by its name.
     *
     * @param  list<Lease|Neighbour>  $list  what cannot be in force is left out
     */
    public static function inList(array $list, ?string $mac, string $name, ?string $address): ?string
    {
        $holding = array_filter(
            $list,
            fn (Lease|Neighbour $one): bool => ! ($one instanceof Lease) || $one->holds(),
        );
        $named = array_filter(
            $holding,
            fn (Lease|Neighbour $one): bool => strtolower($one->name ?? '') === $name,
        );
        $own =
            $mac === null ? [] : array_filter($holding, fn (Lease|Neighbour $one): bool => $one->mac === $mac);
        $at = $own ?: $named;
        $addresses = array_map(fn (Lease|Neighbour $one): string => $one->address, $at);

        return match (true) {
            $list === [] => null,
            $at === [] => 'absent',
            $address !== null && ! in_array($address, $addresses, true) => 'other-address',
            $named === [] && (reset($at)->name ?? null) !== null => 'other-name',
            default => 'listed',
        };
    }

    /** @param  list<OwnAddress>  $own */
    public static function desk(array $own, Prefix $network): ?string
    {
        $given = array_filter(
            $own,
            fn (OwnAddress $one): bool => $one->address !== null &&
                ! str_starts_with((string) $one->address, '127.') &&
                ! str_contains((string) $one->address, ':'),
        );
        $usable = array_filter(
            $given,
            fn (OwnAddress $one): bool => ! str_starts_with((string) $one->address, '169.254.'),
        );

        return match (true) {
            $own === [] => null,
            $usable === [] => 'none',
            array_filter(
                $usable,
                fn (OwnAddress $one): bool => $one->address instanceof Ipv4 &&
                    $network->contains($one->address),
            ) !== [] => 'same',
            default => 'other',
        };
    }

    /**
     * @param  float  $seconds  since the power came on
     * @param  float  $from  what it takes at least
     * @param  float  $to  what it takes at most
     */
    public static function sincePower(float $seconds, float $from, float $to): string
    {
        return match (true) {
            $seconds < ($from + $to) / 2 => 'early',
            $seconds <= 1.5 * $to => 'within',
            default => 'long',
        };
    }
}
