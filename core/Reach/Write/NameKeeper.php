<?php

declare(strict_types=1);

namespace Burrow\Reach\Write;

use InvalidArgumentException;

/**
 * A script for a box that is always on: a timer of systemd that tells the keeper of the house's name where the house is
 * now. The address at which that is told holds a password, so it is typed on the box alone, into a file that only its
 * administrator reads (a curl configuration file, curl(1) --config).
 */
final class NameKeeper
{
    /** At least two labels (RFC 1035 2.3.1, RFC 1123 2.1). */
    private const NAME = '/^(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?$/Di';

    /** Minutes between two tellings (common practice: an address changes once a day at most). */
    private const MINUTES = 15;

    /** @throws InvalidArgumentException when it is no name that the world could ask */
    public static function script(string $name): string
    {
        if (preg_match(self::NAME, $name) !== 1 || strlen($name) > 253) {
            throw new InvalidArgumentException("“{$name}” is no name that the world could ask.");
        }
        $minutes = self::MINUTES;

        return <<<SH
        #!/bin/sh
        # Keeps {$name} leading to this house. Run it on a box that is always on; it wants root (sudo sh).
        set -eu
        umask 077
        if [ ! -e /etc/house-name.conf ]; then
            cat >/etc/house-name.conf <<'CONF'
        # The address at which the keeper of your name is told, with its password. It stays in this file.
        # url = "https://…"
        CONF
        fi
        if ! grep -q '^url *= *"https://' /etc/house-name.conf; then
            echo "STOPPED: write the update address of {$name} into /etc/house-name.conf, in the line that begins with url, and run this again."
            exit 1
        fi
        curl --silent --show-error --fail --max-time 30 --output /dev/null --config /etc/house-name.conf \
            || { echo "STOPPED: the keeper of the name did not take it; nothing was set up."; exit 1; }
        umask 022
        cat >/etc/systemd/system/house-name.service <<'UNIT'
        [Unit]
        Description=tells where {$name} leads now
        Wants=network-online.target
        After=network-online.target

        [Service]
        Type=oneshot
        ExecStart=/usr/bin/curl --silent --show-error --fail --max-time 30 --output /dev/null --config /etc/house-name.conf
        UNIT
        cat >/etc/systemd/system/house-name.timer <<'UNIT'
        [Unit]
        Description=tells every {$minutes} minutes where {$name} leads

        [Timer]
        OnBootSec=2min
        OnUnitActiveSec={$minutes}min
        RandomizedDelaySec=60

        [Install]
        WantedBy=timers.target
        UNIT
        systemctl daemon-reload
        systemctl enable --quiet --now house-name.timer
        echo "It is told every {$minutes} minutes. What went wrong stands in: journalctl -u house-name"

        SH;
    }

    private function __construct()
    {
    }
}
