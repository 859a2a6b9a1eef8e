# A running copy: where it keeps what it makes, how it is brought up, taken down, backed up and restored. Sourced by ./burrow.

# use_folder VAR: where this copy keeps what it makes, and the settings every part of it is told.
use_folder() {
    VAR="$1"
    mkdir -p "$VAR"/{log,tmp,cache,backup,mishap,storage/framework/{cache/data,sessions,views},storage/logs,storage/app}
    chmod 700 "$VAR"
    RUN="$VAR/run"
    # A socket's path has room for 107 characters; a long one goes into a folder whose name nobody can guess.
    [ $((${#RUN} + 12)) -lt 105 ] || RUN="$(own_folder run-folder /tmp)"
    mkdir -p "$RUN" && chmod 700 "$RUN"
    # What is sent to the web server may hold a passphrase: it is kept in memory where this machine has such a place.
    MEM="$VAR/tmp"
    [ -d /dev/shm ] && [ -w /dev/shm ] && MEM="$(own_folder memory-folder /dev/shm)"
    export BURROW_VAR="$VAR" TMPDIR="$VAR/tmp"
    export APP_CONFIG_CACHE="$VAR/cache/config.php" APP_ROUTES_CACHE="$VAR/cache/routes.php" APP_EVENTS_CACHE="$VAR/cache/events.php"
    export APP_SERVICES_CACHE="$VAR/cache/services.php" APP_PACKAGES_CACHE="$VAR/cache/packages.php"
    ENVIRONMENT="BURROW_VAR APP_CONFIG_CACHE APP_ROUTES_CACHE APP_EVENTS_CACHE APP_SERVICES_CACHE APP_PACKAGES_CACHE"
}

# own_folder NAME PLACE: a private folder in a shared place, its name made once and remembered in VAR/NAME.
own_folder() {
    local folder
    folder="$(cat "$VAR/$1" 2>/dev/null)"
    if [ -z "$folder" ] || [ -L "$folder" ] || ! [ -O "$folder" ] || ! [ -d "$folder" ]; then
        folder="$(mktemp -d "$2/burrow.XXXXXXXXXXXX")" || die "no folder could be made in $2"
        printf '%s' "$folder" >"$VAR/$1"
    fi
    chmod 700 "$folder"
    printf '%s' "$folder"
}

# kept NAME VALUE DEFAULT: a setting given now, else the one of the last time, else the usual one.
kept() { printf '%s' "${2:-$(cat "$VAR/$1" 2>/dev/null || printf '%s' "$3")}"; }

live_copy() {
    use_folder "$ROOT/var"
    PORT="$(kept port "${BURROW_PORT:-}" 8737)" DEMO="$(kept demo "${BURROW_DEMO:-}" true)"
    HOSTS="$(kept hosts "${BURROW_HOSTS:-}" '')" PROXY="$(kept proxy "${BURROW_PROXY:-}" '')"
    DATABASE=burrow OFFSET="$(kept offset "${BURROW_BENCH_OFFSET:-}" 20000)" WORKERS=3 APP_ENVIRONMENT=production
    [[ "$PORT" =~ ^[0-9]{1,5}$ ]] && [ "$PORT" -ge 1 ] && [ "$PORT" -le 65535 ] || die "$PORT is no port" "A number from 1 to 65535."
    [[ "$DEMO" =~ ^(true|false)$ ]] || die "BURROW_DEMO is neither true nor false"
    [ -z "$PROXY" ] || php -r '
        foreach (explode(",", $argv[1]) as $one) {
            [$address, $length] = explode("/", trim($one), 2) + [1 => "0"];
            $most = filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV6) ? 128 : (filter_var($address, FILTER_VALIDATE_IP) ? 32 : -1);
            ctype_digit($length) && (int) $length <= $most || exit(1);
        }' -- "$PROXY" || die "BURROW_PROXY holds something that is no address" "The proxy's addresses with commas between, such as 127.0.0.1."
    [[ "$HOSTS" =~ ^[A-Za-z0-9.,:\ _-]*$ ]] || die "BURROW_HOSTS holds something that is no host name" "Names with commas between, such as burrow.home.arpa."
}

keep_settings() {
    local name
    for name in port demo hosts proxy offset; do
        local value="${name^^}"
        write_whole "$VAR/$name" "${!value}"
    done
}

# write_whole FILE TEXT: renamed into place only when every byte of it is on the disk.
write_whole() {
    if printf '%s' "$2" >"$1.new" 2>/dev/null && [ "$(cat "$1.new")" = "$2" ]; then
        mv -f "$1.new" "$1"
    else
        rm -f "$1.new"
        die "$1 could not be written" "Is the disk full?"
    fi
}

# One ./burrow at a time changes what runs.
one_at_a_time() {
    exec 9>"$VAR/lock"
    flock --wait 60 9 || die "another ./burrow is starting or stopping this copy" "Wait until it has finished."
}

# Config, routes and views are read from caches, made anew when the code has changed.
refresh_caches() {
    local stamp
    stamp="$(find app bench bootstrap/*.php config core routes resources database composer.json "$VAR/.env" -type f -printf '%T@ %p\n' | sort | cksum)"
    # A cache that was cut off would break every page.
    [ "$(cat "$VAR/cache/stamp" 2>/dev/null)" = "$stamp" ] && sha1sum --quiet --check "$VAR/cache/made" >/dev/null 2>&1 && return 1
    rm -rf "$VAR"/cache/*.php "$VAR"/storage/framework/cache/*.php "$VAR"/storage/framework/cache/data/*
    php artisan config:cache -q && php artisan route:cache -q && php artisan view:cache -q || die "the caches could not be made" "See $VAR/storage/logs/."
    # MariaDB cannot take back a change of its tables, so there is a copy before the first one.
    php artisan burrow:backup --before-migrating -q || die "no copy could be made before the database is changed" "Nothing was changed. See $VAR/storage/logs/."
    php artisan migrate --force -q || die "the database could not be brought up to date" "Run ./burrow up again; the steps can be repeated. A copy from before lies in $VAR/backup. See $VAR/storage/logs/."
    php artisan burrow:mishaps -q || die "the error pages could not be made" "See $VAR/storage/logs/."
    write_whole "$VAR/cache/made" "$(sha1sum "$VAR"/cache/*.php "$VAR"/storage/framework/views/*.php)"
    write_whole "$VAR/cache/stamp" "$stamp"
}

up() {
    live_copy
    bring_up
    printf '\nKeen Burrow answers at  http://127.0.0.1:%s\n' "$PORT"
    [ "$DEMO" = true ] && printf 'Log in as               warden, password thistledown-demo   (keeper)\n                        desk, password reading-room-demo    (guest, read only)\n'
    [ "$DEMO" = true ] || printf 'Make a login            ./burrow user NAME\n'
    printf 'Memory in use           %s MB   (all its processes, proportional set size)\n' "$(memory_in_use)"
}

# bring_up: everything of this copy that does not run is started, in the order in which it is needed. Quick when all runs.
bring_up() {
    apt_install $RUN_PACKAGES
    composer_install
    one_at_a_time
    heal_groups
    claim_port
    local was_demo
    was_demo="$(cat "$VAR/demo" 2>/dev/null || true)"
    keep_settings
    # Nothing that was sent stays behind after a stop.
    alive fpm || find "$VAR/tmp" "$MEM" -mindepth 1 -type f -delete 2>/dev/null
    write_settings
    settings_changed database "$VAR/my.cnf" "$VAR/init.sql" && stop watchman worker scheduler db
    start_database
    if [ -d "$VAR/restoring" ]; then
        say "a restore was cut off; it goes on now"
        php artisan burrow:restore --resume || die "the restore that was cut off could not be finished" "What it restores from lies in $VAR/restoring."
        # What was restored may be of an older form.
        rm -f "$VAR/cache/stamp"
    fi
    # Long-lived programs keep the code they started with.
    refresh_caches && stop watchman scheduler worker bench
    settings_changed web "$VAR/nginx.conf" "$VAR/mishaps.conf" "$VAR/fpm.conf" && stop watchman nginx fpm
    [ "$DEMO" = true ] || [ "$was_demo" != true ] || php artisan burrow:user --drop-demo
    start_web
    start_workers
    start_bench
    if [ "$DEMO" = true ]; then
        php artisan burrow:demo --if-empty -q || die "the demo data could not be loaded" "See $VAR/storage/logs/."
    fi
    start_watchman
    wait_for "the front page" 20 php -r 'exit(str_contains((string) @file_get_contents("http://127.0.0.1:'"$PORT"'/login"), "Keen Burrow") ? 0 : 1);'
    flock --unlock 9
}

# The same, and then stays in the foreground as the one who looks after the rest: what systemd starts.
run_in_front() {
    up
    stop watchman
    printf '%s %s\n' "$$" "$(started_at $$)" >"$RUN/watchman.started"
    trap 'rm -f "$RUN/watchman.started"; stop_all; exit 0' TERM INT
    watch_over
}

down() {
    live_copy
    one_at_a_time
    if stop_all; then say "stopped"; else say "nothing was running"; fi
}

need_running() { live_copy; alive db || die "it is not running" "Start it first: ./burrow up"; }

restore() {
    need_running
    [ $# -eq 1 ] || die "which backup?" "./burrow restore FILE"
    local file="$1"
    case "$file" in /*) ;; *) file="$CALLED_FROM/$file" ;; esac
    one_at_a_time
    say "looking the backup over"
    php artisan burrow:restore --check "$file" || exit 1
    stop watchman scheduler worker bench nginx fpm
    php artisan burrow:restore "$file"
    local outcome=$?
    rm -f "$VAR/cache/stamp"
    flock --unlock 9
    unset BURROW_PORT BURROW_DEMO BURROW_HOSTS BURROW_PROXY BURROW_BENCH_OFFSET
    (up) || die "it was restored, and did not start again" "Run ./burrow up."
    exit $outcome
}
