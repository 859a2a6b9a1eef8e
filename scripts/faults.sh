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
head --bytes=4000 "$VAR/tmp/household.tar.gz" >"$VAR/tmp/cut.tar.gz"
! php artisan burrow:restore "$VAR/tmp/cut.tar.gz" >/dev/null 2>&1 && [ "$(php artisan burrow:sums)" = "$before" ]
tell $? "a cut backup is refused, and nothing is changed"

stop_all
printf '\n%s passed, %s failed\n' "$PASSED" "$FAILED"
[ "$FAILED" -eq 0 ]
exit $?
