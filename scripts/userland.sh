# A plain Debian 12 userland under var/userland, in which the commands of the playbooks are tried. Sourced by
# ./burrow test; built once, and anew when what goes into it changes.

USERLAND="$ROOT/var/userland"
# What a server image of that release brings beside the smallest base.
USERLAND_BASE="systemd systemd-sysv dbus sudo procps iproute2 iputils-ping openssh-client ca-certificates util-linux fdisk nano less"

# Servers and clients of addresses and names, whose files are written and read.
USERLAND_NETWORK="kea-dhcp4-server isc-dhcp-server isc-dhcp-client dnsmasq-base unbound bind9-utils bind9-dnsutils net-tools arping"

# What the playbooks install, but for desktops and compilers: those are only looked up.
playbook_packages() {
    echo podman podman-compose $USERLAND_NETWORK
    grep -rhoE 'apt-get --yes install [a-z0-9 .+-]+' "$ROOT/core/BringUp/playbooks" |
        sed 's/^apt-get --yes install//' | tr ' ' '\n' |
        grep -E '^[a-z0-9]' | grep -vE '^(lightdm|xfce4.*|build-essential|devscripts)$' | sort -u
}

# The base with those packages in it, no service started.
build_userland() {
    local stamp mirror
    set -- $(playbook_packages)
    stamp="$(printf '%s\n' "$USERLAND_BASE" "$@" | sha256sum | cut -c1-16)"
    [ "$(cat "$USERLAND/stamp" 2>/dev/null)" = "$stamp" ] && return 0
    # What a test that was killed left mounted goes first.
    awk -v under="$USERLAND/" 'index($2, under) == 1 { print $2 }' /proc/mounts | sort -r | xargs -r umount
    rm -rf "$USERLAND"
    mkdir -p "$USERLAND/base"
    # From wherever this machine gets its own packages.
    mirror="$(apt-get indextargets --format '$(SITE)' 'Created-By: Packages' | head -n 1)"
    debootstrap --variant=minbase --include="${USERLAND_BASE// /,}" bookworm "$USERLAND/base" "$mirror" || return 1
    cp /etc/resolv.conf "$USERLAND/base/etc/resolv.conf"
    printf '127.0.0.1 localhost\n127.0.1.1 %s\n' "$(hostname)" >"$USERLAND/base/etc/hosts"
    # Services are installed and kept from starting.
    printf '#!/bin/sh\nexit 101\n' >"$USERLAND/base/usr/sbin/policy-rc.d"
    chmod 755 "$USERLAND/base/usr/sbin/policy-rc.d"
    printf 'APT::Install-Recommends "false";\nDpkg::Use-Pty "0";\n' >"$USERLAND/base/etc/apt/apt.conf.d/90-small"
    printf 'warden ALL=(ALL) NOPASSWD: ALL\n' >"$USERLAND/base/etc/sudoers.d/warden"
    chroot "$USERLAND/base" useradd --create-home --shell /bin/bash warden || return 1
    mkdir -p "$USERLAND/base/boot/firmware" "$USERLAND/base/home/warden/.ssh"
    printf 'console=tty1 root=PARTUUID=1-02 rootwait\n' >"$USERLAND/base/boot/firmware/cmdline.txt"
    chroot "$USERLAND/base" chown warden: /home/warden/.ssh
    DEBIAN_FRONTEND=noninteractive chroot "$USERLAND/base" sh -c 'apt-get update -q && apt-get install -y -q "$@" && apt-get clean' sh "$@" || return 1
    echo "$stamp" >"$USERLAND/stamp"
}
