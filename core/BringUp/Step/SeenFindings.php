<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Household\DoorState;
use Burrow\Intake\Leases\Lease;
use Burrow\Judgement\Finding;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;

/** What was met when the network was asked: ports, keys, leases, names, pages and greetings. */
final class SeenFindings
{
    public static function portOpen(Ipv4 $address, int $port): Finding
    {
        return Finding::fine('bringup.port_open', "Port {$port} at {$address} is open.");
    }

    public static function portRefused(Ipv4 $address, int $port): Finding
    {
        return Finding::warn(
            'bringup.port_refused',
            "Port {$port} at {$address} is refused.",
            'The box is there and running; the service is not started, or listens on another port.',
            $port === 22
                ? 'Remote login was probably not switched on: look over user-data.'
                : 'Look at the service on the box: systemctl status.',
        );
    }

    public static function portSilent(Ipv4 $address, int $port): Finding
    {
        return Finding::warn(
            'bringup.port_silent',
            "Port {$port} at {$address} is silent.",
            'Nobody has this address, the box is still starting, or a firewall swallows the question.',
            'Wait for the usual time, then look at the lights and the cable.',
        );
    }

    public static function port(DoorState $met, Ipv4 $address, int $port): Finding
    {
        return match ($met) {
            DoorState::Open => self::portOpen($address, $port),
            DoorState::Refused => self::portRefused($address, $port),
            DoorState::Silent => self::portSilent($address, $port),
        };
    }

    public static function stillAtOld(Ipv4 $before, Ipv4 $address): Finding
    {
        return Finding::warn(
            'bringup.still_at_old',
            "It answers at {$before}, where it was found, and not at {$address}.",
            'The reservation is missing or not applied yet, or the box was not restarted since.',
            "Look at the router's reservations for {$address}, apply them, and restart the box once more.",
        );
    }

    public static function noAddress(): Finding
    {
        return Finding::stop(
            'bringup.no_address',
            'This box has no address to ask at.',
            'It was neither planned nor found in the router\'s list.',
            'Give it an address on its page, or take back the step that finds it.',
        );
    }

    public static function noHostKey(): Finding
    {
        return Finding::warn(
            'bringup.no_host_key',
            'Port 22 showed no host key.',
            'Either it is not remote login that answers there, or it is just starting.',
            'Look again in half a minute.',
        );
    }

    public static function hostKeyFirst(string $fingerprint): Finding
    {
        return Finding::note(
            'bringup.host_key_first',
            "First key of this box: {$fingerprint}.",
            'Nothing is known to compare it with but the box\'s own screen.',
            'If it has one, compare the text there.',
        );
    }

    public static function hostKeySame(): Finding
    {
        return Finding::fine('bringup.host_key_same', 'The host key is the one kept.');
    }

    /** @param  string  $written  when the card was written, as it is shown */
    public static function hostKeyRewritten(string $written): Finding
    {
        return Finding::note(
            'bringup.host_key_rewritten',
            'Another host key, as expected.',
            "The card was written on {$written}, and a new system makes new keys.",
            'Remove the old one on the desk computer: ssh-keygen -R with the box\'s address.',
        );
    }

    public static function hostKeyChanged(string $kept, string $shown): Finding
    {
        return Finding::stop(
            'bringup.host_key_changed',
            'Another host key, and no reason for it.',
            "Kept is {$kept}; shown is {$shown}. Another machine may sit at this address.",
            'Do not log in. Look at the router\'s list for the hardware address first.',
        );
    }

    public static function found(Lease $lease, bool $isNew): Finding
    {
        return Finding::fine(
            'bringup.found',
            "Found at {$lease->address}: ".
                ($isNew ? 'new in the list, and the name fits' : 'the name fits').
                '.',
        );
    }

    public static function oldLeaseOfThatName(Hostname $name): Finding
    {
        return Finding::note(
            'bringup.old_lease_of_that_name',
            "An older lease of {$name->label} is in the list as well.",
            'It was there before the power came: of the board or card that was before, until it runs out.',
            'Where that one is still on, take its power: two of one name confuse the house.',
        );
    }

    public static function twoOfThatName(Hostname $name): Finding
    {
        return Finding::stop(
            'bringup.two_of_that_name',
            "Two machines call themselves {$name}.",
            'One of them is an older card or another board.',
            'Take the power from the other one.',
        );
    }

    public static function otherName(Hostname $name, Lease $lease): Finding
    {
        $as = $lease->name === null ? 'without a name' : "as “{$lease->name}”";

        return Finding::warn(
            'bringup.other_name',
            "One new machine is in the list, {$as}, at {$lease->address}.",
            "It should call itself “{$name}”; the first-boot settings were probably not read.",
            'Look over the card\'s user-data, and remote login may be refused.',
        );
    }

    public static function notInList(Hostname $name): Finding
    {
        return Finding::warn(
            'bringup.not_in_list',
            "{$name} is not in the router's list yet.",
            'It may still be starting; otherwise no cable, a weak supply, a card that was not written, or network-config that was not read.',
            'Look at the lights of the network socket first: that costs nothing and tells most.',
        );
    }

    public static function severalNew(Hostname $name, int $machines): Finding
    {
        return Finding::warn(
            'bringup.several_new',
            "{$machines} machines are new in the list, and none is called {$name}.",
            'A guess would lead to the wrong one.',
            'Read the list again in a minute.',
        );
    }

    public static function nobodyThere(Ipv4 $address): Finding
    {
        return Finding::fine('bringup.nobody_there', "{$address} is silent.");
    }

    public static function somebodyThere(Ipv4 $address, int $port): Finding
    {
        return Finding::stop(
            'bringup.somebody_there',
            "Somebody answers at {$address}, on port {$port}.",
            'Two machines with one address answer in turns, and both seem broken (RFC 5227).',
            'Look in Addresses and in the router\'s list who it is before you go on.',
        );
    }

    public static function stillOn(Ipv4 $address): Finding
    {
        return Finding::warn(
            'bringup.still_on',
            "{$address} still answers.",
            'A box that answers is not shut down, and its power must stay on.',
            'Wait until its activity light rests, then look again.',
        );
    }

    public static function namesAnswered(string $name, string $what): Finding
    {
        return Finding::fine('bringup.name_ok', "{$name}: {$what}.");
    }

    /** @param  string  $wanted  "refused", "answered", "answered with 172.22.8.16" */
    public static function nameOtherwise(
        string $name,
        string $transport,
        string $what,
        string $wanted,
    ): Finding {
        return Finding::warn(
            'bringup.name_otherwise',
            "{$name} over {$transport}: {$what}; it should be {$wanted}.",
            'Asked at the box\'s own address, so no other resolver and no cache took part.',
            'Look at the service\'s own log on the box, then at its list and its configuration.',
        );
    }

    public static function pageOk(string $title, int $status): Finding
    {
        return Finding::fine(
            'bringup.page_ok',
            "The page answers with {$status}".($title === '' ? '.' : " and calls itself “{$title}”."),
        );
    }

    public static function pageOtherwise(string $what, string $do): Finding
    {
        return Finding::warn(
            'bringup.page_otherwise',
            $what,
            'Answering and being ready are two stages: many pages say first that they are loading.',
            $do,
        );
    }

    public static function certificate(string $subject, string $until, bool $ownHand): Finding
    {
        return Finding::note(
            'bringup.certificate',
            "Its certificate is for {$subject} and good until {$until}.",
            $ownHand
                ? 'It was signed by the box itself, so a browser warns at the first visit.'
                : 'Another signed it.',
            'Compare its fingerprint once, then let the browser keep it.',
        );
    }

    public static function greetingOk(int $port, string $what): Finding
    {
        return Finding::fine('bringup.greeting_ok', "Port {$port} greets as {$what}.");
    }

    public static function greetingOther(int $port, string $wanted): Finding
    {
        return Finding::warn(
            'bringup.greeting_other',
            "Port {$port} is open, and what answers there is not {$wanted}.",
            'Another program holds the port, or the service is still starting.',
            'See on the box who holds it: sudo ss -tulpn.',
        );
    }

    public static function noHandshake(string $words): Finding
    {
        return Finding::warn(
            'bringup.no_handshake',
            $words,
            'Without a handshake of the last minutes nothing came through.',
            'From outside only: the phone without the house\'s radio. Look at the forward: UDP, this port, this box.',
        );
    }

    public static function handshake(string $words): Finding
    {
        return Finding::fine('bringup.handshake', $words);
    }
}
