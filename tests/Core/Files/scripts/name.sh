#!/bin/sh
# Keeps seeds.example.net leading to this house. Run it on a box that is always on; it wants root (sudo sh).
set -eu
umask 077
if [ ! -e /etc/house-name.conf ]; then
    cat >/etc/house-name.conf <<'CONF'
# The address at which the keeper of your name is told, with its password. It stays in this file.
# url = "https://…"
CONF
fi
if ! grep -q '^url *= *"https://' /etc/house-name.conf; then
    echo "STOPPED: write the update address of seeds.example.net into /etc/house-name.conf, in the line that begins with url, and run this again."
    exit 1
fi
curl --silent --show-error --fail --max-time 30 --output /dev/null --config /etc/house-name.conf \
    || { echo "STOPPED: the keeper of the name did not take it; nothing was set up."; exit 1; }
umask 022
cat >/etc/systemd/system/house-name.service <<'UNIT'
[Unit]
Description=tells where seeds.example.net leads now
Wants=network-online.target
After=network-online.target

[Service]
Type=oneshot
ExecStart=/usr/bin/curl --silent --show-error --fail --max-time 30 --output /dev/null --config /etc/house-name.conf
UNIT
cat >/etc/systemd/system/house-name.timer <<'UNIT'
[Unit]
Description=tells every 15 minutes where seeds.example.net leads

[Timer]
OnBootSec=2min
OnUnitActiveSec=15min
RandomizedDelaySec=60

[Install]
WantedBy=timers.target
UNIT
systemctl daemon-reload
systemctl enable --quiet --now house-name.timer
echo "It is told every 15 minutes. What went wrong stands in: journalctl -u house-name"
