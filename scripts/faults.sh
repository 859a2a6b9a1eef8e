# `./burrow test faults`: a copy of its own, in which each process is killed at a point of a run. Sourced by ./burrow.

use_folder "$ROOT/var/faults"
PORT="${BURROW_FAULTS_PORT:-8757}" DATABASE=burrow_faults OFFSET="${BURROW_FAULTS_BENCH_OFFSET:-35000}" WORKERS=3 DEMO=true HOSTS="" PROXY="" APP_ENVIRONMENT=production
while listening "$PORT" && ! alive nginx; do PORT=$((PORT + 1)); done
PASSED=0 FAILED=0

tell() {
    if [ "$1" -eq 0 ]; then
        say "$2: fine"
        PASSED=$((PASSED + 1))
    else
        say "$2: FAILED"
        FAILED=$((FAILED + 1))
    fi
}

finish() {
    stop_all
    exit "${1:-1}"
}
trap 'finish 130' INT TERM

# anew: the copy as on its first day.
anew() {
    php artisan migrate:fresh --force -q && php artisan burrow:demo -q && php -r '
        $bench = stream_socket_client("unix://".$argv[1]);
        fwrite($bench, json_encode(["do" => "speed", "speed" => 400])."\n");
        exit(str_contains((string) fgets($bench), "ok") ? 0 : 1);
    ' "$RUN/bench.sock" || die "the copy for the faults could not be made anew" "See $VAR/storage/logs/."
}

play() { DB_PASSWORD="$(secret database)" php tests/Faults/play.php "http://127.0.0.1:$PORT" "$RUN" "$RUN/db.sock" "$@"; }

apt_install $RUN_PACKAGES
composer_install
bring_up
# The watchman of this copy knows its own folder.
say "an undisturbed run"
anew
play --undisturbed >"$VAR/undisturbed.json"
tell $? "an undisturbed run"
say "the same with a process killed at each of twenty points"
anew
play >"$VAR/disturbed.json"
tell $? "two runs with twenty kills: nothing acknowledged is lost, nothing is done twice"
[ -s "$VAR/undisturbed.json" ] && cmp -s "$VAR/undisturbed.json" "$VAR/disturbed.json"
tell $? "the household is the same after both"

say "masters killed with their children left behind, the watchman too"
for name in watchman nginx fpm db; do kill -KILL "$(cut -d' ' -f1 "$RUN/$name.started")"; done
sleep 1
(bring_up) >/dev/null && curl --silent --fail --output /dev/null "http://127.0.0.1:$PORT/login"
tell $? "up heals what was left"

say "masters killed twice within a second, and what was written down of them cut off"
for round in 1 2; do
    for name in nginx fpm; do kill -KILL "$(cut -d' ' -f1 "$RUN/$name.started")"; done
    (heal_groups && start_web) >/dev/null 2>&1 &
    sleep 0.1
done
wait
for name in nginx fpm db; do cut -c1-3 "$RUN/$name.started" >"$RUN/cut" && cp "$RUN/cut" "$RUN/$name.started"; done
(bring_up) >/dev/null && curl --silent --fail --output /dev/null "http://127.0.0.1:$PORT/login"
tell $? "up heals what nobody wrote down"
for name in nginx fpm db; do : >"$RUN/$name.started"; done
stop_all >/dev/null
! listening "$PORT" && [ -z "$(processes_of nginx)$(processes_of fpm)" ]
tell $? "down ends what nobody wrote down"
(bring_up) >/dev/null

say "caches cut off"
for file in "$VAR"/cache/config.php "$VAR"/cache/routes.php; do truncate --size=700 "$file"; done
(bring_up) >/dev/null && curl --silent --fail --output /dev/null "http://127.0.0.1:$PORT/login"
tell $? "up makes caches anew that were cut off"

say "a migration cut off after its first change"
MYSQL_PWD="$(secret database)" mariadb --no-defaults --socket="$RUN/db.sock" --user=burrow "$DATABASE" --execute="
    DELETE FROM migrations WHERE migration LIKE '%what_was_looked_at' OR migration LIKE '%cards_grow';
    ALTER TABLE box_jobs DROP COLUMN finished_at; DROP TABLE media;"
rm -f "$VAR/cache/stamp"
(bring_up) >/dev/null && ! php artisan migrate:status | grep -q Pending
tell $? "up goes on with a migration that was cut off"
ls "$VAR"/backup/before-migrating-*.tar.gz >/dev/null 2>&1
tell $? "there is a copy from before it"

say "backup, a day of changes, restore"
php artisan burrow:backup "$VAR/tmp/household.tar.gz" >/dev/null
before="$(php artisan burrow:sums)"
php artisan burrow:demo -q && php artisan tinker --execute="App\Models\Box::query()->delete();" >/dev/null 2>&1
[ "$(php artisan burrow:sums)" != "$before" ] && php artisan burrow:restore "$VAR/tmp/household.tar.gz" >/dev/null && [ "$(php artisan burrow:sums)" = "$before" ]
tell $? "a restore brings every table back as it was"
say "a restore killed while there is no database"
rm -rf "$VAR/restoring" && mkdir "$VAR/restoring" && tar --extract --gzip --file="$VAR/tmp/household.tar.gz" --directory="$VAR/restoring"
MYSQL_PWD="$(secret database)" mariadb --no-defaults --socket="$RUN/db.sock" --user=burrow --execute="DROP DATABASE $DATABASE"
(bring_up) >/dev/null && [ "$(php artisan burrow:sums)" = "$before" ] && [ ! -d "$VAR/restoring" ]
tell $? "up goes on with it"
head --bytes=4000 "$VAR/tmp/household.tar.gz" >"$VAR/tmp/cut.tar.gz"
! php artisan burrow:restore "$VAR/tmp/cut.tar.gz" >/dev/null 2>&1 && [ "$(php artisan burrow:sums)" = "$before" ]
tell $? "a cut backup is refused, and nothing is changed"

stop_all
printf '\n%s passed, %s failed\n' "$PASSED" "$FAILED"
[ "$FAILED" -eq 0 ]
exit $?
