# All suites, one after another, and one line of totals at the end. Called by ./incastro test, whose environment it uses.
set -u
export PGPASSWORD=$DB_PASSWORD
query() { psql -qAt -h 127.0.0.1 -p "$DB_PORT" -U incastro -d postgres -c "$1"; }
for name in incastro_feature incastro_hostile; do
    [ -n "$(query "SELECT 1 FROM pg_database WHERE datname='$name'")" ] || query "CREATE DATABASE $name"
done

passed=0
failed=0
results=$VAR/results
mkdir -p "$results"

# A check without tests of its own counts as one.
check() {
    local name=$1
    shift
    if "$@" >"$results/check.log" 2>&1; then
        say "ok      $name"
        passed=$((passed + 1))
    else
        cat "$results/check.log"
        say "FAILED  $name"
        failed=$((failed + 1))
    fi
}

check "static analysis" vendor/bin/phpstan analyse --no-progress --memory-limit=1G
# Pint is a Laravel program too, and must not take this instance for itself.
check "PHP style" env -i PATH="$PATH" HOME="${HOME:-/}" vendor/bin/pint --test
check "types of the front end" npx vue-tsc --noEmit
check "lint of the front end" npm run --silent lint

# The demo is there for the browser, whatever an earlier run left behind.
php artisan incastro:demo >/dev/null || failed=$((failed + 1))
rm -f tests/browser/results/report.json
npx playwright test || true
read -r good bad < <(node -e '
    try {
        const { stats } = JSON.parse(require("fs").readFileSync("tests/browser/results/report.json", "utf8"))
        console.log(stats.expected + stats.flaky, stats.unexpected + (stats.expected + stats.unexpected === 0 ? 1 : 0))
    } catch { console.log(0, 1) }')
passed=$((passed + good))
failed=$((failed + bad))

# NAME SUITES [DATABASE]
suite() {
    rm -f "$results/$1.xml"
    env -u APP_CONFIG_CACHE -u APP_ROUTES_CACHE -u SANCTUM_STATEFUL_DOMAINS -u INCASTRO_REGISTRATIONS_PER_HOUR -u INCASTRO_SIGN_INS_PER_MINUTE \
        APP_ENV=testing DB_DATABASE="${3:-incastro_feature}" QUEUE_CONNECTION=sync APP_URL=http://localhost \
        vendor/bin/phpunit --testsuite "$2" --cache-directory ".phpunit.cache/$1" --log-junit "$results/$1.xml" || true
}
# Trying every unit and all requests takes as long as all else: one process for each core.
{ suite units units; suite hostile hostile incastro_hostile; suite feature feature; } >"$results/beside.log" 2>&1 &
suite core core
wait $!
cat "$results/beside.log"
# These kill what they run on, and ask how soon it is back: nothing else runs beside them.
suite faults faults
for name in units hostile feature core faults; do
    read -r good bad < <(php -r '
        $suite = @simplexml_load_file($argv[1])->testsuite ?? null;
        $bad = $suite ? (int) $suite["errors"] + (int) $suite["failures"] : 1;
        echo ($suite ? (int) $suite["tests"] - $bad : 0), " ", $bad, "\n";' "$results/$name.xml")
    passed=$((passed + good))
    failed=$((failed + bad))
done

stop_instance
say "$passed passed, $failed failed"
[ "$failed" -eq 0 ]
