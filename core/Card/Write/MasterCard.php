<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Judgement\Finding;

/** A card to be copied is left bare: what makes a box itself must be made new on every copy. */
final class MasterCard
{
    /** @return non-empty-list<TypedStep> on the master, last of all before it is shut down and copied */
    public static function leaveBare(): array
    {
        return [
            new TypedStep(
                'host keys',
                'gone; a copy makes its own at its first start',
                'sudo rm --force /etc/ssh/ssh_host_*',
            ),
            new TypedStep(
                'machine identity',
                'empty; a copy makes its own',
                'sudo truncate --size 0 /etc/machine-id',
            ),
            new TypedStep('first-start memory', 'gone; a copy reads its own card', 'sudo cloud-init clean --logs'),
            new TypedStep(
                'leases of the network',
                'gone; a copy asks anew',
                'sudo rm --force --recursive /var/lib/dhcp/* /run/systemd/netif/leases',
            ),
            new TypedStep(
                'history of commands',
                'gone; it may hold what was typed by mistake',
                'rm --force ~/.bash_history && history -c',
            ),
            new TypedStep(
                'shut it down',
                'and do not start it again before it is copied',
                'sudo systemctl poweroff',
            ),
        ];
    }

    /** @return non-empty-list<string> what each copy must have of its own */
    public static function newOnEachCopy(): array
    {
        return [
            'name',
            'address',
            'instance-id in meta-data',
            'host keys',
            'machine identity',
            'accounts and their keys',
            'passwords of its services',
        ];
    }

    public static function sameHostKey(string $name, string $other): Finding
    {
        return WriteFindings::sameHostKey($name, $other);
    }
}
