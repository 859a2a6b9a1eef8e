<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Access;
use Burrow\Household\Certificate;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Port;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/ports.md lists them with their sources. */
final class PortFindings
{
    /** @param  non-empty-list<Service>  $same  of one box, protocol and port */
    public static function clash(array $same): Finding
    {
        return Finding::stop(
            'ports.clash',
            "On {$same[0]->box}, ".
                implode(' and ', array_map(fn (Service $one): string => $one->purpose, $same)).
                " both want {$same[0]->protocol->value} {$same[0]->port->number}.",
            'One address, protocol and port can be held once; the second service does not start.',
            'Move one of them to another port.',
        );
    }

    public static function anybodyIsIn(Service $service, Access $access, WhoReaches $reach): Finding
    {
        $unclaimed = $access === Access::Unclaimed;
        $found =
            ucfirst($service->purpose).
            " on {$service->box} ({$service->place()}) ".
            ($unclaimed ? 'is unclaimed' : 'has its default login').
            " and is reached from {$reach->label()}.";
        $why = $unclaimed
            ? 'Whoever visits such a page first becomes its administrator.'
            : 'Default logins stand in manuals; everybody who reaches the page has them.';
        $do = $unclaimed
            ? 'Open the page now and set a login.'
            : 'Change the login on its page, then write that down.';

        return $reach === WhoReaches::World
            ? Finding::stop('ports.anybody_is_in', $found, $why, "Close the way in from outside first. {$do}")
            : Finding::warn('ports.anybody_is_in', $found, $why, $do);
    }

    public static function plainBesideSafe(Service $service): Finding
    {
        return Finding::note(
            'ports.plain_beside_safe',
            ucfirst($service->purpose).
                " on {$service->box} is served in plain HTTP at {$service->place()} beside HTTPS.",
            'A password that is typed on the plain page can be read by whoever is in the network.',
            'Let the plain one lead to the other, or bind it to 127.0.0.1.',
        );
    }

    /** @param  non-empty-list<Pair>  $unknown */
    public static function unplanned(string $box, array $unknown): Finding
    {
        $first = array_slice($unknown, 0, 4);
        $more = count($unknown) - count($first);

        return Finding::warn(
            'ports.not_planned',
            ucfirst($box).
                ' listens at '.
                implode(
                    ', ',
                    array_map(
                        fn (Pair $pair): string => $pair->place().
                            ($pair->heard?->process === null ? '' : " ({$pair->heard->process})"),
                        $first,
                    ),
                ).
                ($more > 0 ? " and {$more} more" : '').
                ', which is in no plan.',
            'Everybody in the house reaches it, and nobody looks after it.',
            'Write it down with what it is for, or stop the program.',
        );
    }

    /** @param  non-empty-list<Service>  $shut */
    public static function filterShuts(string $box, array $shut): Finding
    {
        return Finding::warn(
            'ports.filter_shuts',
            "The packet filter of {$box} keeps out those who should reach ".self::named($shut).'.',
            'Its rules were gone through for somebody who is meant to get in; the packet ended at a drop.',
            'Load the filter that is made from the record, or say in the record that nobody needs the port.',
        );
    }

    /** @param  non-empty-list<Service>  $wide */
    public static function filterWider(string $box, array $wide): Finding
    {
        return Finding::warn(
            'ports.filter_wider',
            "The packet filter of {$box} lets everybody in the house reach ".self::named($wide).'.',
            'The record means it for fewer.',
            'Load the filter that is made from the record, or say in the record who reaches it.',
        );
    }

    /** @param  non-empty-list<string>  $places  "9000/tcp" */
    public static function filterOpens(string $box, array $places): Finding
    {
        $more = count($places) - 4;

        return Finding::note(
            'ports.filter_opens',
            "The packet filter of {$box} lets ".
                implode(', ', array_slice($places, 0, 4)).
                ($more > 0 ? " and {$more} more" : '').
                ' in, and no service of the record is there.',
            'A rule that outlived its service lets in whatever listens there next.',
            'Take the rule out, or write the service down.',
        );
    }

    /** @param  non-empty-list<string>  $accounts */
    public static function engineGroup(string $box, string $group, array $accounts): Finding
    {
        return Finding::warn(
            'ports.engine_group',
            ucfirst(implode(', ', array_slice($accounts, 0, 4))).
                (count($accounts) > 4 ? ' and more' : '').
                ' on '.
                $box.
                (count($accounts) === 1 ? ' is' : ' are').
                " in the group {$group}.",
            'Who may command the container engine may mount the whole disk into a container: that is the right of an administrator, without a password.',
            "Take them out (sudo gpasswd --delete NAME {$group}) and use the engine's unprivileged mode, or treat their logins like the administrator's.",
        );
    }

    /** @param  int  $left  whole days; negative when it has ended */
    public static function certificateEnds(Certificate $one, int $left): Finding
    {
        $page = ucfirst($one->page->purpose)." on {$one->page->box}";
        $day = $one->ends?->format('Y-m-d');

        return Finding::warn(
            'ports.certificate_ends',
            $left < 0
                ? "The certificate of {$one->page->purpose} on {$one->page->box} ended on {$day}."
                : "{$page}: its certificate ends on {$day}, in ".Words::counted($left, 'day').'.',
            'After that day browsers warn and programs refuse; nobody can tell then whether it is still the same box.',
            $one->isOwn()
                ? 'Make a new one, and tell its fingerprint to those who trust it by hand.'
                : 'Look why its renewal did not come, and renew it.',
        );
    }

    public static function certificateNotYet(Certificate $one): Finding
    {
        return Finding::warn(
            'ports.certificate_not_yet',
            ucfirst($one->page->purpose).
                " on {$one->page->box}: its certificate counts from {$one->starts?->format(
                    'Y-m-d',
                )} on only.",
            'One of the two clocks is wrong, the box’s when it was made or this machine’s.',
            'Look at the clock of the box (timedatectl), then make the certificate again.',
        );
    }

    public static function certificateChanged(Certificate $one): Finding
    {
        return Finding::warn(
            'ports.certificate_changed',
            ucfirst($one->page->purpose).
                " on {$one->page->box} shows another certificate since {$one->changed?->format(
                    'Y-m-d',
                )}; the one before was good until {$one->beforeEnded?->format('Y-m-d')}.",
            'Renewals come near the end. A new one long before it was made by somebody, or is another machine’s.',
            "Compare its SHA-256 fingerprint with what the box itself has: {$one->sha256}.",
        );
    }

    /** @param  non-empty-list<Service>  $services */
    private static function named(array $services): string
    {
        $more = count($services) - 4;

        return implode(
            ', ',
            array_map(
                fn (Service $one): string => "{$one->place()} ({$one->purpose})",
                array_slice($services, 0, 4),
            ),
        ).($more > 0 ? " and {$more} more" : '');
    }

    public static function stubInTheWay(Service $service): Finding
    {
        return Finding::stop(
            'ports.stub_in_the_way',
            "The system's own resolver holds port 53 on {$service->box}; {$service->purpose} cannot have it.",
            'It listens on 127.0.0.53 and 127.0.0.54, so nobody else can take 53 on every address (resolved.conf(5)).',
            'Set DNSStubListener=no in /etc/systemd/resolved.conf, restart systemd-resolved, then the service.',
        );
    }

    /** @param  non-empty-list<string>  $shut  "445 tcp, file share: refused" */
    public static function shut(string $box, array $shut): Finding
    {
        return Finding::warn(
            'ports.shut',
            ucfirst($box).' answers, and a port of its job does not: '.implode(', ', $shut).'.',
            'The box runs; the service is not started, or listens elsewhere.',
            'On the box: systemctl --failed, then ss --listening --tcp --numeric.',
        );
    }

    public static function notForAPage(string $typed, Port $instead, string $field): Finding
    {
        return Finding::stop(
            'ports.not_for_a_page',
            "“{$typed}” is no port for a page.",
            'It is a number of up to five digits, from 1024 to 65535; below that the system has its own.',
            "Free is {$instead->number}.",
            Place::field($field),
        );
    }

    /** @param  string  $whose  "larder, file share" */
    public static function another(Port $port, string $whose, Port $instead, string $field): Finding
    {
        return Finding::warn(
            'ports.used_elsewhere',
            "{$port->number} is used in this house already: {$whose}.",
            'On another box it works, and whoever types the number from memory lands on the wrong page.',
            "Free is {$instead->number}.",
            Place::field($field),
        );
    }
}
