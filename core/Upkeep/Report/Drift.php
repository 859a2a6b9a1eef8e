<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Report;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Household\Reported;
use Burrow\Judgement\Severity;

/** A report held against the record: ports, release, address, board, disks, accounts and keys. */
final class Drift
{
    /** Port of the system's own that every box has for itself (RFC 5353, RFC 2131, RFC 3315). */
    private const OWN = ['5353/udp', '68/udp', '546/udp'];

    /** From here on, ports that programs take for answers to come (proc(5): ip_local_port_range). */
    private const OUTGOING = 32_768;

    /** Places that systems and container engines mount for themselves (FHS 3.0). */
    private const SYSTEMS = '~^/(?:$|boot(?:/|$)|dev(?:/|$)|run(?:/|$)|sys(?:/|$)|proc(?:/|$)|tmp$|snap/|var/(?:log|tmp|cache)$|var/lib/)~';

    /**
     * @return list<Difference> the gravest first; those that were answered and are left alone until later are not among
     *                          them
     */
    public static function of(Household $house, Box $box, Reported $told): array
    {
        $found = [
            ...self::ports($house, $box, $told),
            ...self::release($box, $told),
            ...self::place($box, $told),
            ...self::further($box, $told),
            ...self::mounts($box, $told),
            ...self::logins($box, $told),
        ];
        $now = $house->now->getTimestamp();
        $open = array_values(
            array_filter($found, fn (Difference $one): bool => ($told->answered[$one->key] ?? 0) <= $now),
        );
        usort($open, fn (Difference $a, Difference $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $open;
    }

    /** @return list<Difference> */
    private static function ports(Household $house, Box $box, Reported $told): array
    {
        if ($told->report->listening === null) {
            return [];
        }
        $planned = $heard = $found = [];
        foreach ($house->services($box) as $service) {
            $planned[$service->place()] = $service->purpose;
        }
        foreach ($told->report->listening as [$protocol, $address, $port, $program]) {
            $place = "{$port}/{$protocol}";
            $heard[$place] = true;
            $loopback = str_starts_with($address, '127.') || $address === '::1';
            $outgoing = $protocol === 'udp' && $port >= self::OUTGOING;
            if (isset($planned[$place]) || $loopback || $outgoing || in_array($place, self::OWN, true)) {
                continue;
            }
            $found[$place] = new Difference(
                "port {$place}",
                Severity::Warn,
                ucfirst($box->name).
                    " listens at {$place}".
                    ($program === null ? '' : " ({$program})").
                    ', which is in no plan.',
                'It is written into the ledger, for the house.',
                'Find who holds it: sudo ss -tulpn | grep :'.
                    $port.
                    '; stop it, or let it listen on loopback.',
            );
        }
        foreach ($planned as $place => $purpose) {
            if (! isset($heard[$place])) {
                $found["gone {$place}"] = new Difference(
                    "gone {$place}",
                    Severity::Warn,
                    "Nothing listens at {$place} ({$purpose}) on {$box->name}.",
                    'It is taken out of the ledger.',
                    'Look why its service does not run: systemctl --failed, then journalctl -u with its name.',
                );
            }
        }

        return array_values($found);
    }

    /** @return list<Difference> */
    private static function release(Box $box, Reported $told): array
    {
        $now = $told->report->codename;

        return $now === null || $told->release === null || $now === $told->release
            ? []
            : [
                new Difference(
                    "release {$now}",
                    Severity::Warn,
                    ucfirst($box->name)." runs {$now}, and the record has {$told->release}.",
                    "It runs {$now} from now on; steps and ends of support follow it.",
                    'A release is not left by itself: look who changed /etc/apt/sources.list.d, and when: '.
                        'less /var/log/apt/history.log.',
                ),
            ];
    }

    /**
     * File systems that hold data and that the record does not know.
     *
     * @return list<Difference>
     */
    private static function further(Box $box, Reported $told): array
    {
        $found = [];
        foreach ($told->report->fills ?? [] as [$mount, $bytes, $used]) {
            if (
                preg_match(self::SYSTEMS, $mount) !== 1 &&
                ! in_array($mount, $told->mounts, true) &&
                ! in_array($mount, $told->known, true)
            ) {
                $found[$mount] = new Difference(
                    "further {$mount}",
                    Severity::Note,
                    "Something is mounted at {$mount} on {$box->name} that the record does not know.",
                    'It is known from now on; copies of it are not made by that.',
                    "Somebody plugged a disk in, or a line of fstab is new: findmnt {$mount}.",
                );
            }
        }

        return array_values($found);
    }

    /** @return list<Difference> */
    private static function place(Box $box, Reported $told): array
    {
        $found = [];
        $addresses = $told->report->addresses;
        if (
            $addresses !== null &&
            $box->address !== null &&
            ! in_array((string) $box->address, $addresses, true)
        ) {
            $found[] = new Difference(
                "address {$box->address}",
                Severity::Warn,
                ucfirst($box->name)." does not hold its address {$box->address}.",
                '',
                'Look at its reservation in the router, or change its address as a run of its own.',
            );
        }
        $macs = $told->report->macs;
        if ($macs !== null && $told->mac !== null && ! in_array($told->mac, $macs, true)) {
            $found[] = new Difference(
                "board {$told->mac}",
                Severity::Warn,
                ucfirst($box->name)." runs on another board: no card of its network is {$told->mac}.",
                'Its hardware address becomes '.($macs[0] ?? 'unknown').'.',
                'Put its card back into its own board.',
            );
        }

        return $found;
    }

    /** @return list<Difference> */
    private static function mounts(Box $box, Reported $told): array
    {
        $mounted = $told->report->mounts;

        return $mounted === null
            ? []
            : array_map(
                fn (string $mount): Difference => new Difference(
                    "mount {$mount}",
                    Severity::Stop,
                    "The disk at {$mount} is not mounted on {$box->name}.",
                    '',
                    'What is written there now lands on the card. Look at its cable and supply, then: sudo mount '.
                        $mount.
                        '.',
                ),
                array_values(array_diff($told->mounts, $mounted)),
            );
    }

    /** @return list<Difference> */
    private static function logins(Box $box, Reported $told): array
    {
        $found = [];
        foreach (array_diff($told->report->accounts ?? [], $told->accounts, ['root']) as $account) {
            $found[] = new Difference(
                "account {$account}",
                Severity::Warn,
                "The account {$account} on {$box->name} may log in, and the record does not know it.",
                'It is known from now on.',
                "Ask who made it. Take its shell away: sudo usermod -s /usr/sbin/nologin {$account}.",
            );
        }
        foreach (array_diff($told->report->keys ?? [], $told->keys) as $key) {
            $found[] = new Difference(
                "key {$key}",
                Severity::Warn,
                "A key that the record does not know may log in on {$box->name}: {$key}.",
                'It is known from now on.',
                'Find whose it is: ssh-keygen -lf ~/.ssh/authorized_keys; take its line out.',
            );
        }

        return $found;
    }
}
