# Starting and stopping the stack, each part by its pid file. Sourced by ./burrow.

SERVICES="db fpm nginx worker scheduler bench watchman"

# alive NAME: its recorded process lives and is still the one that was started.
alive() {
    local pid="" start=""
    # A line that was cut off is none.
    read -r pid start 2>/dev/null <"$RUN/$1.started"
    [ -n "$pid" ] && [ -n "$start" ] && [ "$(started_at "$pid")" = "$start" ]
}

# Field 22 of /proc/PID/stat: a pid used again by somebody else has another start time. One that ended and was not
# waited for yet (Z) runs no more.
started_at() {
    local state rest
    read -r state rest <<<"$(sed 's/^.*) //' "/proc/$1/stat" 2>/dev/null)"
    [ "$state" = Z ] || cut -d' ' -f19 <<<"$rest"
}

# launch NAME COMMAND…: in the background, apart from this terminal.
launch() {
    local name="$1"
    shift
    setsid "$@" >>"$VAR/log/$name.log" 2>&1 </dev/null 9>&- &
    printf '%s %s\n' "$!" "$(started_at "$!")" >"$RUN/$name.started"
}

# wait_for WHAT SECONDS COMMAND…
wait_for() {
    local what="$1" tries=$(($2 * 20))
    shift 2
    until "$@" >/dev/null 2>&1; do
        tries=$((tries - 1))
        [ "$tries" -gt 0 ] || die "$what did not come up" "Its own words are in $VAR/log/."
        sleep 0.05
    done
}

# Processes of this copy's web server and of its PHP, whether or not anybody wrote them down: each has the log open.
processes_of() {
    local pid log="$VAR/log/nginx.err" title=nginx
    [ "$1" = nginx ] || { log="$VAR/log/fpm.log" title=php-fpm; }
    for pid in /proc/[0-9]*; do
        [ "$(head --bytes=$((${#title} + 2)) "$pid/cmdline" 2>/dev/null | tr '\0' ' ')" = "$title: " ] || continue
        [ -n "$(find "$pid/fd" -lname "$log" -print -quit 2>/dev/null)" ] && printf '%s\n' "${pid#/proc/}"
    done
    return 0
}

# heal_groups: a master that was killed leaves children that hold its port; whoever is of no master that is known ends
# here. A database that nobody wrote down is written down.
heal_groups() {
    local name master pid parent left tries
    for name in nginx fpm; do
        master=none left=()
        alive "$name" && read -r master _ <"$RUN/$name.started"
        for pid in $(processes_of "$name"); do
            parent="$(sed 's/^.*) //' "/proc/$pid/stat" 2>/dev/null | cut -d' ' -f2)"
            [ "$pid" = "$master" ] || [ "$parent" = "$master" ] || left+=("$pid")
        done
        [ ${#left[@]} -eq 0 ] && continue
        say "ended left-over processes of $name (${left[*]})"
        kill -KILL "${left[@]}" 2>/dev/null
        # Until they are gone they hold the port.
        for tries in {1..40}; do
            [ -z "$(for pid in "${left[@]}"; do started_at "$pid"; done)" ] && break
            sleep 0.05
        done
    done
    alive db || for pid in /proc/[0-9]*; do
        [ "$(cat "$pid/comm" 2>/dev/null)" = mariadbd ] || continue
        tr '\0' '\n' <"$pid/cmdline" 2>/dev/null | grep -qxF -- "--defaults-file=$VAR/my.cnf" || continue
        pid="${pid#/proc/}"
        printf '%s %s\n' "$pid" "$(started_at "$pid")" >"$RUN/db.started"
    done
    return 0
}

listening() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

fill() {
    local user="" environment="" name
    [ "$(id -u)" -eq 0 ] && user="user root;"
    for name in $ENVIRONMENT; do environment+="env[$name]=${!name}"$'\n'; done
    awk -v var="$VAR" -v run="$RUN" -v root="$ROOT" -v port="$PORT" -v workers="$WORKERS" -v user="$user" -v environment="$environment" -v mem="$MEM" -v hosts="${HOSTS//,/ }" \
        '{ gsub(/@VAR@/, var); gsub(/@MEM@/, mem); gsub(/@HOSTS@/, hosts); gsub(/@RUN@/, run); gsub(/@ROOT@/, root); gsub(/@PORT@/, port); gsub(/@WORKERS@/, workers); gsub(/@USER@/, user); gsub(/@ENVIRONMENT@/, environment); print }' \
        "deploy/local/$1" >"$VAR/$1"
    chmod 600 "$VAR/$1"
}

write_settings() {
    fill my.cnf
    fill fpm.conf
    fill nginx.conf
    fill mishaps.conf
    cat >"$VAR/init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS $DATABASE CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS 'burrow'@'localhost' IDENTIFIED BY '$(secret database)';
GRANT ALL ON $DATABASE.* TO 'burrow'@'localhost';
GRANT ALL ON \`burrow\\_%\`.* TO 'burrow'@'localhost';
CREATE USER IF NOT EXISTS 'burrow_check'@'localhost' IDENTIFIED BY '$(secret check)';
GRANT ALL ON \`burrow%\\_check\`.* TO 'burrow_check'@'localhost';
SQL
    chmod 600 "$VAR/init.sql"
    local env
    env="APP_NAME=\"Keen Burrow\"
APP_ENV=$APP_ENVIRONMENT
APP_KEY=base64:$(secret key)
APP_DEBUG=false
APP_URL=http://127.0.0.1:$PORT
DB_CONNECTION=mariadb
DB_SOCKET=$RUN/db.sock
DB_DATABASE=$DATABASE
DB_USERNAME=burrow
DB_PASSWORD=$(secret database)
DB_CHECK_PASSWORD=$(secret check)
SESSION_DRIVER=logins
CACHE_STORE=file
QUEUE_CONNECTION=database
LOG_CHANNEL=daily
LOG_DAILY_DAYS=14
BCRYPT_ROUNDS=11
BENCH_SOCKET=$RUN/bench.sock
BURROW_MEMORY=$MEM
BENCH_OFFSET=$OFFSET
BURROW_DEMO=$DEMO
BURROW_PROXY=$PROXY"
    [ "$env" = "$(cat "$VAR/.env" 2>/dev/null)" ] || { (umask 077; printf '%s\n' "$env" >"$VAR/.env"); rm -f "$VAR/cache/stamp"; }
}

# secret NAME: made once, kept in a file that only the owner reads.
secret() {
    [ -s "$VAR/secret.$1" ] || (umask 077; php -r 'echo base64_encode(random_bytes(32));' | tr -d '\n' >"$VAR/secret.$1")
    cat "$VAR/secret.$1"
}

start_database() {
    alive db && return 0
    if [ ! -d "$VAR/db/mysql" ]; then
        mariadb-install-db --defaults-file="$VAR/my.cnf" --skip-test-db --auth-root-socket-user="$(id -un)" >"$VAR/log/db-install.log" 2>&1 \
            || die "the database folder could not be made" "See $VAR/log/db-install.log."
    fi
    local user=()
    [ "$(id -u)" -eq 0 ] && user=(--user=root)
    launch db /usr/sbin/mariadbd --defaults-file="$VAR/my.cnf" "${user[@]}"
    MYSQL_PWD="$(secret database)" wait_for "the database" 40 mariadb --no-defaults --socket="$RUN/db.sock" --user=burrow --execute="SELECT 1" "$DATABASE"
}

# Before anything is started, so that nothing is left half running.
claim_port() {
    alive nginx || ! listening "$PORT" || die "port $PORT on this machine is already taken by another program" "Take another one: BURROW_PORT=$((PORT + 1)) ./burrow $COMMAND"
}

# settings_changed NAME FILE…: since the last time it was asked. Servers read their settings when they start.
settings_changed() {
    local name="$1" now
    shift
    now="$(cat "$@" | cksum)"
    [ "$(cat "$RUN/$name-settings" 2>/dev/null)" = "$now" ] && return 1
    printf '%s' "$now" >"$RUN/$name-settings"
}

start_web() {
    local root=()
    [ "$(id -u)" -eq 0 ] && root=(-R)
    alive fpm || { rm -f "$RUN/fpm.sock"; launch fpm /usr/sbin/php-fpm8.2 -F "${root[@]}" -y "$VAR/fpm.conf" -d opcache.memory_consumption=48; }
    wait_for "php-fpm" 10 test -S "$RUN/fpm.sock"
    alive nginx || launch nginx /usr/sbin/nginx -e "$VAR/log/nginx.err" -p "$VAR" -c "$VAR/nginx.conf" -g 'daemon off;'
    wait_for "the web server" 10 listening "$PORT"
}

# The bench is a convenience: that it does not come up is said, and stops nothing.
start_bench() {
    alive bench && return 0
    launch bench php -d opcache.enable_cli=0 bench/serve.php --state="$VAR/bench.json" --socket="$RUN/bench.sock" --offset="$OFFSET"
    local tries=60
    until [ -S "$RUN/bench.sock" ] && alive bench; do
        tries=$((tries - 1))
        if [ "$tries" -eq 0 ]; then
            say "the bench did not come up; all else runs without it. Its own words are in $VAR/log/bench.log. BURROW_BENCH_OFFSET=25000 ./burrow $COMMAND takes other ports."
            rm -f "$RUN/bench.started"
            return 0
        fi
        sleep 0.05
    done
}

start_workers() {
    # It ends after an hour, so that no leak grows old; the watchman starts the next one.
    alive worker || launch worker php -d memory_limit=64M artisan queue:work --sleep=3 --tries=1 --timeout=50 --max-time=3600 --quiet
    alive scheduler || launch scheduler bash -c 'while :; do sleep 15; php artisan schedule:run --quiet; sleep 45; done'
}

# It is told which copy it looks after, since there may be several on one machine.
start_watchman() {
    alive watchman && return 0
    declare -p VAR RUN MEM PORT DEMO HOSTS PROXY DATABASE OFFSET WORKERS APP_ENVIRONMENT ENVIRONMENT >"$RUN/watchman.settings"
    launch watchman bash "$ROOT/burrow" watch-over
}

# watch_over: whoever of the others has ended is started again, a little later each time it happens at once; logs are kept short.
watch_over() {
    local name round=0
    declare -A fallen not_before
    while :; do
        sleep 5 9>&- &
        wait $!
        round=$((round + 5))
        for name in db fpm nginx worker scheduler bench; do
            if ! [ -e "$RUN/$name.started" ]; then
                continue
            elif alive "$name"; then
                [ "$round" -ge $((${not_before[$name]:-0} + 120)) ] && fallen[$name]=0
            elif [ "$round" -ge "${not_before[$name]:-0}" ]; then
                fallen[$name]=$((${fallen[$name]:-0} + 1))
                not_before[$name]=$((round + (fallen[$name] < 6 ? 5 * 2 ** fallen[$name] : 300)))
                say "$(date '+%F %T') $name had ended; it is started again (${fallen[$name]})"
                (raise "$name")
            fi
        done
        [ $((round % 600)) -eq 0 ] && shorten_logs
    done
}

# Not while an up or a down is under way, which sees to it all; what that left is seen to at the next round.
raise() {
    exec 9>"$VAR/lock"
    flock --nonblock 9 && ! alive "$1" || return 0
    case "$1" in
        db) start_database ;;
        fpm | nginx) heal_groups && start_web ;;
        worker | scheduler) start_workers ;;
        bench) start_bench ;;
    esac
}

# Logs that have grown begin anew; the three before are kept.
shorten_logs() {
    local log
    for log in "$VAR"/log/*.log "$VAR"/log/*.err "$VAR"/storage/logs/*.log; do
        if [ -f "$log" ] && [ "$(stat --format=%s "$log")" -gt "${LOG_BYTES:-2000000}" ]; then
            mv -f "$log.2" "$log.3" 2>/dev/null
            mv -f "$log.1" "$log.2" 2>/dev/null
            # Programs go on writing to the end of the same file.
            cp -f "$log" "$log.1" && : >"$log"
        fi
    done
}

# stop NAME…: asks each to end, then waits for all of them. False when none was running.
stop() {
    local name pid stopped=0 tries
    for name in "$@"; do
        if alive "$name"; then
            read -r pid _ <"$RUN/$name.started"
            case "$name" in fpm | nginx) kill -QUIT "$pid" ;; scheduler | watchman) kill -- "-$pid" || kill "$pid" ;; *) kill "$pid" ;; esac 2>/dev/null
            stopped=1
        fi
    done
    for name in "$@"; do
        tries=200
        while alive "$name" && [ "$tries" -gt 0 ]; do sleep 0.05; tries=$((tries - 1)); done
        # What does not end when asked is ended; a database never.
        if [ "$tries" -eq 0 ] && [ "$name" != db ]; then kill -KILL "$(cut -d' ' -f1 "$RUN/$name.started")" 2>/dev/null; fi
        rm -f "$RUN/$name.started"
    done
    [ "$stopped" -eq 1 ]
}

# The watchman first, so that nobody starts again what is being stopped.
stop_all() {
    local any=1
    heal_groups
    stop watchman && any=0
    stop scheduler worker bench nginx fpm && any=0
    stop db && any=0
    return $any
}

# Proportional set size of the whole stack, in MB.
memory_in_use() {
    local name pid child total=0 kb
    for name in $SERVICES; do
        alive "$name" || continue
        read -r pid _ <"$RUN/$name.started"
        # The bash of scheduler and watchman, and what it waits for, are counted like the rest.
        for child in $pid $(cat /proc/"$pid"/task/*/children 2>/dev/null); do
            kb="$(awk '/^Pss:/{print $2}' "/proc/$child/smaps_rollup" 2>/dev/null)"
            total=$((total + ${kb:-0}))
        done
    done
    echo $((total / 1024))
}
