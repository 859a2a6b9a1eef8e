# Starting and stopping the stack, each part by its pid file. Sourced by ./burrow.

SERVICES="db fpm nginx bench worker scheduler"

# alive NAME: its recorded process lives and is still the one that was started.
alive() {
    local pid start
    read -r pid start 2>/dev/null <"$RUN/$1.started" || return 1
    [ -n "$pid" ] && [ "$(started_at "$pid")" = "$start" ]
}

# Field 22 of /proc/PID/stat: a pid used again by somebody else has another start time.
started_at() { sed 's/^.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }

# launch NAME COMMAND…: in the background, apart from this terminal.
launch() {
    local name="$1"
    shift
    setsid "$@" >>"$VAR/log/$name.log" 2>&1 </dev/null &
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

listening() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

fill() {
    local user="" environment="" name
    [ "$(id -u)" -eq 0 ] && user="user root;"
    for name in $ENVIRONMENT; do environment+="env[$name]=${!name}"$'\n'; done
    awk -v var="$VAR" -v run="$RUN" -v root="$ROOT" -v port="$PORT" -v workers="$WORKERS" -v user="$user" -v environment="$environment" \
        '{ gsub(/@VAR@/, var); gsub(/@RUN@/, run); gsub(/@ROOT@/, root); gsub(/@PORT@/, port); gsub(/@WORKERS@/, workers); gsub(/@USER@/, user); gsub(/@ENVIRONMENT@/, environment); print }' \
        "deploy/local/$1" >"$VAR/$1"
    chmod 600 "$VAR/$1"
}

write_settings() {
    fill my.cnf
    fill fpm.conf
    fill nginx.conf
    cat >"$VAR/init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS $DATABASE CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS 'burrow'@'localhost' IDENTIFIED BY '$(secret database)';
GRANT ALL ON $DATABASE.* TO 'burrow'@'localhost';
GRANT ALL ON \`burrow\\_%\`.* TO 'burrow'@'localhost';
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
SESSION_DRIVER=file
CACHE_STORE=file
QUEUE_CONNECTION=database
LOG_CHANNEL=single
BCRYPT_ROUNDS=11
BENCH_SOCKET=$RUN/bench.sock
BENCH_OFFSET=$OFFSET
BURROW_DEMO=$DEMO"
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

start_web() {
    local root=()
    [ "$(id -u)" -eq 0 ] && root=(-R)
    alive fpm || launch fpm /usr/sbin/php-fpm8.2 -F "${root[@]}" -y "$VAR/fpm.conf" -d opcache.memory_consumption=48
    wait_for "php-fpm" 10 test -S "$RUN/fpm.sock"
    alive nginx || launch nginx /usr/sbin/nginx -e "$VAR/log/nginx.err" -p "$VAR" -c "$VAR/nginx.conf" -g 'daemon off;'
    wait_for "the web server" 10 listening "$PORT"
}

start_bench() {
    alive bench && return 0
    launch bench php -d opcache.enable_cli=0 bench/serve.php --state="$VAR/bench.json" --socket="$RUN/bench.sock" --offset="$OFFSET"
    sleep 0.2
    alive bench || die "the bench did not come up" "Most often another copy holds its ports; BURROW_BENCH_OFFSET=25000 ./burrow $COMMAND takes others. Its own words are in $VAR/log/bench.log."
    wait_for "the bench" 10 test -S "$RUN/bench.sock"
}

start_workers() {
    alive worker || launch worker php -d memory_limit=64M artisan queue:work --sleep=3 --tries=2 --max-time=86400 --quiet
    alive scheduler || launch scheduler bash -c 'while :; do sleep 15; php artisan schedule:run --quiet; sleep 45; done'
}

# stop NAME…: asks each to end, then waits for all of them. False when none was running.
stop() {
    local name pid stopped=0 tries
    for name in "$@"; do
        if alive "$name"; then
            read -r pid _ <"$RUN/$name.started"
            case "$name" in fpm | nginx) kill -QUIT "$pid" ;; scheduler) kill -- "-$pid" ;; *) kill "$pid" ;; esac 2>/dev/null
            stopped=1
        fi
    done
    for name in "$@"; do
        tries=200
        while alive "$name" && [ "$tries" -gt 0 ] && ! grep -q '^State:.*Z' "/proc/$(cut -d' ' -f1 "$RUN/$name.started")/status" 2>/dev/null; do sleep 0.05; tries=$((tries - 1)); done
        rm -f "$RUN/$name.started"
    done
    [ "$stopped" -eq 1 ]
}

stop_all() { stop scheduler worker bench nginx fpm db; }

# Proportional set size of the whole stack, in MB.
memory_in_use() {
    local name pid child total=0 kb
    for name in $SERVICES; do
        alive "$name" || continue
        read -r pid _ <"$RUN/$name.started"
        for child in $pid $(cat /proc/"$pid"/task/*/children 2>/dev/null); do
            kb="$(awk '/^Pss:/{print $2}' "/proc/$child/smaps_rollup" 2>/dev/null)"
            total=$((total + ${kb:-0}))
        done
    done
    echo $((total / 1024))
}
