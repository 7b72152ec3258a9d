# One instance of the application: a private PostgreSQL cluster, php-fpm, nginx, a queue worker and the schedule on loopback, with all
# their files under var/INSTANCE. "live" is what start runs; "test" runs beside it on ports of its own.

POSTGRES_BIN=/usr/lib/postgresql/15/bin

use_instance() {
    INSTANCE=$1
    if [ "$INSTANCE" = test ]; then
        PORT=${INCASTRO_TEST_PORT:-8650} DB_PORT=${INCASTRO_TEST_DB_PORT:-8651} FPM_PORT=${INCASTRO_TEST_FPM_PORT:-8652}
        # Every browser test makes an account of its own.
        INCASTRO_REGISTRATIONS_PER_HOUR=10000 INCASTRO_SIGN_INS_PER_MINUTE=10000
        PORT_NAMES=(INCASTRO_TEST_PORT INCASTRO_TEST_DB_PORT INCASTRO_TEST_FPM_PORT)
    elif [ "$INSTANCE" = faults ]; then
        PORT=${INCASTRO_FAULTS_PORT:-8680} DB_PORT=${INCASTRO_FAULTS_DB_PORT:-8681} FPM_PORT=${INCASTRO_FAULTS_FPM_PORT:-8682}
        # A few who do what hundreds would.
        INCASTRO_REGISTRATIONS_PER_HOUR=10000 INCASTRO_SIGN_INS_PER_MINUTE=10000 INCASTRO_REQUESTS_PER_MINUTE=100000
        PORT_NAMES=(INCASTRO_FAULTS_PORT INCASTRO_FAULTS_DB_PORT INCASTRO_FAULTS_FPM_PORT)
    elif [ "$INSTANCE" = bench ]; then
        PORT=${INCASTRO_BENCH_PORT:-8670} DB_PORT=${INCASTRO_BENCH_DB_PORT:-8671} FPM_PORT=${INCASTRO_BENCH_FPM_PORT:-8672}
        INCASTRO_REGISTRATIONS_PER_HOUR=10000 INCASTRO_SIGN_INS_PER_MINUTE=10000
        PORT_NAMES=(INCASTRO_BENCH_PORT INCASTRO_BENCH_DB_PORT INCASTRO_BENCH_FPM_PORT)
    else
        PORT=${INCASTRO_PORT:-8640} DB_PORT=${INCASTRO_DB_PORT:-8641} FPM_PORT=${INCASTRO_FPM_PORT:-8642}
        PORT_NAMES=(INCASTRO_PORT INCASTRO_DB_PORT INCASTRO_FPM_PORT)
    fi
    VAR=$ROOT/var/$INSTANCE
    mkdir -p "$VAR"/{run,log,nginx,cache,lan} "$VAR"/storage/{app,logs,framework/{cache,sessions,views}}
    [ -f "$VAR/key" ] || (umask 077 && printf 'base64:%s' "$(head -c 32 /dev/urandom | base64)" >"$VAR/key")
    [ -f "$VAR/database-password" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '+/=\n' >"$VAR/database-password")
    LAN_PORT=${INCASTRO_LAN_PORT:-8643}
    # Once the network is let in, that stays so until stop.
    [ -f "$VAR/lan/url" ] && INCASTRO_URL=${INCASTRO_URL:-$(cat "$VAR/lan/url")}
    export APP_NAME=Incastro APP_ENV=${APP_ENV:-production} APP_DEBUG=false APP_KEY APP_URL=${INCASTRO_URL:-http://127.0.0.1:$PORT}
    export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=incastro DB_USERNAME=incastro DB_PASSWORD
    export SESSION_DRIVER=database CACHE_STORE=database QUEUE_CONNECTION=database DB_QUEUE_TABLE=queued_jobs
    export APP_CONFIG_CACHE=$VAR/cache/config.php APP_ROUTES_CACHE=$VAR/cache/routes.php
    export LOG_CHANNEL=daily MAIL_MAILER=${MAIL_MAILER:-log} LARAVEL_STORAGE_PATH=$VAR/storage
    export INCASTRO_REGISTRATIONS_PER_HOUR=${INCASTRO_REGISTRATIONS_PER_HOUR:-} INCASTRO_SIGN_INS_PER_MINUTE=${INCASTRO_SIGN_INS_PER_MINUTE:-30} INCASTRO_REQUESTS_PER_MINUTE=${INCASTRO_REQUESTS_PER_MINUTE:-300} INCASTRO_DEMO=${INCASTRO_DEMO:-true} INCASTRO_DEMO_PASSWORD=${INCASTRO_DEMO_PASSWORD:-oar-and-ferry}
    allow_hosts
    APP_KEY=$(cat "$VAR/key")
    DB_PASSWORD=$(cat "$VAR/database-password")
    use_node || true
}

# The session cookie is taken from the application's own pages, by whichever of its addresses they were opened.
allow_hosts() { export SANCTUM_STATEFUL_DOMAINS=127.0.0.1:$PORT,localhost:$PORT,${APP_URL#*://}; }

artisan() { php artisan "$@"; }

is_alive() { [ -f "$1" ] && kill -0 "$(head -n 1 "$1" 2>/dev/null)" 2>/dev/null; }

# A pid file may outlive its process, and its number may belong to another by now: the command line must be ours.
is_ours() { is_alive "$1" && tr '\0' ' ' <"/proc/$(head -n 1 "$1" 2>/dev/null)/cmdline" 2>/dev/null | grep -q -- "$2"; }

answers() { curl -fsS -o /dev/null --max-time 2 "http://127.0.0.1:$PORT/up" 2>/dev/null; }

# What the running programs were started from: other sources mean migrating and starting anew.
back_sources() { find app core config routes database/migrations bootstrap/*.php composer.json tools -type f -print0 | sort -z | xargs -0 cat | sha256sum | cut -c1-64; }

instance_is_current() { [ "$(cat "$VAR/run/started-from" 2>/dev/null)" = "$(back_sources)" ]; }

# Asked last, because it says the most: whether the page answers, and the database behind it.
instance_runs() {
    is_ours "$VAR/run/nginx.pid" nginx && is_ours "$VAR/run/fpm.pid" php-fpm && is_ours "$VAR/run/worker.pid" queue:work \
        && is_ours "$VAR/run/schedule.pid" schedule:work && answers
}

is_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Tests run unattended: where nobody chose their ports, they move on to free ones.
move_to_free_ports() {
    [ -n "${INCASTRO_TEST_PORT:-}${INCASTRO_TEST_DB_PORT:-}${INCASTRO_TEST_FPM_PORT:-}" ] && return
    while is_taken "$PORT" || is_taken "$DB_PORT" || is_taken "$FPM_PORT"; do
        PORT=$((PORT + 10)) DB_PORT=$((DB_PORT + 10)) FPM_PORT=$((FPM_PORT + 10))
    done
    export APP_URL=http://127.0.0.1:$PORT
    allow_hosts
}

refuse_taken_port() {
    is_taken "$1" || return 0
    fail "Port $1 is in use by another program. Choose a free one with $2, for example: $2=$(($1 + 100)) ./incastro start"
}

wait_for() {
    local i
    for i in $(seq 1 100); do
        "$@" >/dev/null 2>&1 && return 0
        sleep 0.1
    done
    return 1
}

# PostgreSQL refuses to run as root: then it runs as the user its package made, and where that user cannot reach the
# checkout, the cluster lies among that user's own files with a link in var/.
as_postgres() {
    if [ "$(id -u)" = 0 ]; then
        (cd / && runuser -u postgres -- "$@")
    else
        "$@"
    fi
}

make_cluster() {
    [ -e "$VAR/postgres/PG_VERSION" ] && return
    say "Making a private database cluster"
    local place=$VAR/postgres
    if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$VAR"; then
        place=/var/lib/postgresql/incastro-$(printf '%s' "$VAR" | sha256sum | cut -c1-12)
        # Of a checkout that stood here before, its data stay where they are.
        [ -z "$(ls -A "$place" 2>/dev/null)" ] || place=$place-$(date +%Y%m%d%H%M%S)
        ln -sfn "$place" "$VAR/postgres"
    fi
    mkdir -p "$place"
    [ "$(id -u)" = 0 ] && chown postgres: "$place"
    # The password goes through a file of that user's own.
    local file
    file=$(as_postgres mktemp)
    as_postgres tee "$file" <"$VAR/database-password" >/dev/null
    as_postgres "$POSTGRES_BIN/initdb" -D "$place" -U incastro -A scram-sha-256 --pwfile="$file" -E UTF8 --locale=C.UTF-8 >"$VAR/log/initdb.log" 2>&1 || {
        cat "$VAR/log/initdb.log" >&2
        fail "The database cluster could not be made."
    }
    as_postgres rm -f "$file"
}

start_database() {
    make_cluster
    local data
    data=$(readlink -f "$VAR/postgres")
    if ! as_postgres "$POSTGRES_BIN/pg_ctl" -D "$data" status >/dev/null 2>&1; then
        refuse_taken_port "$DB_PORT" "${PORT_NAMES[1]}"
        # After one that was killed the memory that it shared is held until the last of its processes has noticed.
        wait_for as_postgres "$POSTGRES_BIN/pg_ctl" -D "$data" -w -t 30 -l "$data/server.log" \
            -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories=''" start || {
            as_postgres tail -n 10 "$data/server.log" >&2
            fail "PostgreSQL did not start."
        }
    fi
    export PGPASSWORD=$DB_PASSWORD
    psql -qAt -h 127.0.0.1 -p "$DB_PORT" -U incastro -d postgres -c "SELECT 1 FROM pg_database WHERE datname='incastro'" | grep -q 1 \
        || psql -q -h 127.0.0.1 -p "$DB_PORT" -U incastro -d postgres -c 'CREATE DATABASE incastro'
}

fpm_environment() {
    local name
    for name in APP_NAME APP_ENV APP_DEBUG APP_KEY APP_URL DB_CONNECTION DB_HOST DB_PORT DB_DATABASE DB_USERNAME DB_PASSWORD SESSION_DRIVER \
        CACHE_STORE QUEUE_CONNECTION DB_QUEUE_TABLE APP_CONFIG_CACHE APP_ROUTES_CACHE LOG_CHANNEL MAIL_MAILER LARAVEL_STORAGE_PATH INCASTRO_REGISTRATIONS_PER_HOUR INCASTRO_SIGN_INS_PER_MINUTE INCASTRO_REQUESTS_PER_MINUTE INCASTRO_DEMO INCASTRO_DEMO_PASSWORD SANCTUM_STATEFUL_DOMAINS \
        MAIL_SCHEME MAIL_HOST MAIL_PORT MAIL_USERNAME MAIL_PASSWORD MAIL_FROM_ADDRESS MAIL_FROM_NAME; do
        [ -z "${!name:-}" ] || printf 'env[%s] = "%s"\n' "$name" "${!name}"
    done
}

# What every answer is made of is read once, when PHP-FPM starts.
PRELOAD=(-d opcache.preload="$ROOT/tools/preload.php" -d opcache.memory_consumption=192 -d opcache.interned_strings_buffer=16 -d opcache.max_accelerated_files=20000)

start_fpm() {
    is_ours "$VAR/run/fpm.pid" php-fpm && return
    refuse_taken_port "$FPM_PORT" "${PORT_NAMES[2]}"
    (umask 077 && {
        printf '[global]\npid = %s\nerror_log = %s\n[incastro]\nlisten = 127.0.0.1:%s\n' "$VAR/run/fpm.pid" "$VAR/log/fpm.log" "$FPM_PORT"
        printf 'pm = static\npm.max_children = 4\nclear_env = yes\ncatch_workers_output = yes\n'
        [ "$(id -u)" = 0 ] && printf 'user = root\ngroup = root\n'
        printf 'php_admin_value[memory_limit] = 256M\nphp_admin_value[opcache.validate_timestamps] = 1\nphp_admin_value[upload_max_filesize] = 15M\nphp_admin_value[post_max_size] = 16M\n'
        fpm_environment
    } >"$VAR/fpm.conf")
    # Only loopback is served, as the user who started it; a real host runs it as www-data (README).
    php-fpm8.2 --nodaemonize --fpm-config "$VAR/fpm.conf" "${PRELOAD[@]}" $([ "$(id -u)" = 0 ] && printf -- '-d opcache.preload_user=root --allow-to-run-as-root') >>"$VAR/log/fpm.log" 2>&1 &
    disown
    wait_for is_ours "$VAR/run/fpm.pid" php-fpm || fail "php-fpm did not start; see $VAR/log/fpm.log"
}

start_nginx() {
    is_ours "$VAR/run/nginx.pid" nginx && return
    refuse_taken_port "$PORT" "${PORT_NAMES[0]}"
    local marks="s|@VAR@|$VAR|g; s|@ROOT@|$ROOT|g; s|@PORT@|$PORT|g; s|@FPM_PORT@|$FPM_PORT|g"
    sed -e "$marks" tools/nginx.conf >"$VAR/nginx.conf"
    sed -e "$marks" tools/nginx-site.conf >"$VAR/site.conf"
    [ "$(id -u)" = 0 ] && sed -i '1a user root;' "$VAR/nginx.conf"
    nginx -e "$VAR/log/nginx.log" -c "$VAR/nginx.conf" || fail "nginx did not start; see $VAR/log/nginx.log"
}

# NAME COMMAND…: an artisan command that goes on until it is stopped.
start_artisan() {
    is_ours "$VAR/run/$1.pid" "$2" && return
    setsid php artisan "${@:2}" >>"$VAR/log/$1.log" 2>&1 </dev/null &
    printf '%s' $! >"$VAR/run/$1.pid"
    disown
}

start_instance() {
    # Said before anything is started.
    is_ours "$VAR/run/nginx.pid" nginx || refuse_taken_port "$PORT" "${PORT_NAMES[0]}"
    is_ours "$VAR/run/fpm.pid" php-fpm || refuse_taken_port "$FPM_PORT" "${PORT_NAMES[2]}"
    start_database
    # Settings hold the key and the password of the database, logs what people wrote: their owner alone reads them.
    umask 077
    chmod -R go-rwx "$VAR"/{cache,log,storage,run}
    rm -f "$VAR"/cache/*.php
    artisan migrate --force --quiet
    artisan config:cache --quiet
    artisan route:cache --quiet
    start_fpm
    start_nginx
    start_artisan worker queue:work --quiet --tries=3 --max-time=86400
    start_artisan schedule schedule:work --quiet
    back_sources >"$VAR/run/started-from"
    wait_for answers || fail "The page does not answer; see $VAR/log and $VAR/storage/logs."
}

stop_one() {
    if is_ours "$1" "$2"; then
        kill -"$3" "$(head -n 1 "$1")" 2>/dev/null || true
        local i
        for i in $(seq 1 100); do is_alive "$1" || break; sleep 0.1; done
    fi
    rm -f "$1"
}

stop_instance() {
    stop_one "$VAR/run/schedule.pid" schedule:work TERM
    stop_one "$VAR/run/worker.pid" queue:work TERM
    stop_one "$VAR/run/nginx.pid" nginx QUIT
    stop_one "$VAR/run/fpm.pid" php-fpm QUIT
    if [ -e "$VAR/postgres/PG_VERSION" ]; then
        as_postgres "$POSTGRES_BIN/pg_ctl" -D "$(readlink -f "$VAR/postgres")" -m fast -w stop >/dev/null 2>&1 || true
    fi
}

status_instance() {
    local name
    for name in nginx:nginx fpm:php-fpm worker:queue:work schedule:schedule:work; do
        if is_ours "$VAR/run/${name%%:*}.pid" "${name#*:}"; then say "${name%%:*}: running"; else say "${name%%:*}: stopped"; fi
    done
    if [ -e "$VAR/postgres/PG_VERSION" ] && as_postgres "$POSTGRES_BIN/pg_ctl" -D "$(readlink -f "$VAR/postgres")" status >/dev/null 2>&1; then say "database: running"; else say "database: stopped"; fi
    if answers; then say "page: answers at $APP_URL"; else say "page: does not answer"; fi
}
