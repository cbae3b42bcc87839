# Shared by bin/start, bin/test and bin/bench: one running instance with all its state in one folder.
# Sourced, not run. Set INSTANCE (a name under var/) before sourcing.

ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)"
VAR="$ROOT/var/$INSTANCE"
PHP_VERSION=8.2
RUN_AS=www-data
APP_ROLE=ironstart_app
OWNER_URL=''
CHILDREN=()
SOCKETS=''
declare -A NAMES=()

say() { printf '%s\n' "$*"; }
step() { printf '  %s\n' "$*"; }
fail() { printf 'iron start: %s\n' "$*" >&2; exit 1; }

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

# Debian packages that are missing, for the parts named (web, browser).
missing_packages() {
    local missing=() modules
    command -v php >/dev/null || missing+=("php$PHP_VERSION-cli")
    modules="$(php -m 2>/dev/null || true)"
    for ext in intl mbstring pdo_pgsql curl dom gd; do
        grep -qi "^$ext$" <<<"$modules" || case $ext in
            pdo_pgsql) missing+=("php$PHP_VERSION-pgsql") ;;
            dom) missing+=("php$PHP_VERSION-xml") ;;
            *) missing+=("php$PHP_VERSION-$ext") ;;
        esac
    done
    [ -x "/usr/sbin/php-fpm$PHP_VERSION" ] || missing+=("php$PHP_VERSION-fpm")
    command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] || missing+=(nginx-light)
    [ -n "$(pg_bin)" ] || missing+=(postgresql)
    command -v composer >/dev/null || missing+=(composer)
    command -v unzip >/dev/null || grep -qi '^zip$' <<<"$modules" || missing+=(unzip)
    command -v npm >/dev/null || missing+=(npm)
    command -v curl >/dev/null || missing+=(curl)
    if [ "${1:-}" = browser ]; then
        command -v chromium >/dev/null || missing+=(chromium fonts-liberation)
        command -v pdftotext >/dev/null || missing+=(poppler-utils)
    fi
    printf '%s\n' "${missing[@]}"
}

install_packages() {
    local missing
    mapfile -t missing < <(missing_packages "${1:-}" | sed '/^$/d')
    [ ${#missing[@]} -eq 0 ] && return
    if [ "$(id -u)" != 0 ]; then
        fail "these Debian packages are missing, and only root can install them:
    apt-get install ${missing[*]}"
    fi
    step "installing ${missing[*]}"
    # A package that starts a service on its own would take ports nobody asked for.
    printf '#!/bin/sh\nexit 101\n' > /usr/sbin/policy-rc.d.iron && chmod +x /usr/sbin/policy-rc.d.iron
    [ -e /usr/sbin/policy-rc.d ] || mv /usr/sbin/policy-rc.d.iron /usr/sbin/policy-rc.d
    apt-get update -qq
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null || fail "apt-get could not install ${missing[*]}"
    [ -e /usr/sbin/policy-rc.d.iron ] && rm -f /usr/sbin/policy-rc.d.iron || rm -f /usr/sbin/policy-rc.d
}

install_vendor() {
    if [ ! -f "$ROOT/vendor/autoload.php" ] || [ "$ROOT/composer.json" -nt "$ROOT/vendor/composer/installed.json" ]; then
        step "composer: the server's packages"
        (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet) || fail "composer could not install the packages"
        touch "$ROOT/vendor/composer/installed.json"
    fi
}

install_node() {
    if [ ! -f "$ROOT/node_modules/.package-lock.json" ] || [ "$ROOT/package-lock.json" -nt "$ROOT/node_modules/.package-lock.json" ]; then
        step "npm: the interface's packages"
        (cd "$ROOT" && npm ci --no-audit --no-fund --loglevel=error >/dev/null) || fail "npm could not install the packages"
        touch "$ROOT/node_modules/.package-lock.json"
    fi
}

build_interface() {
    local manifest="$ROOT/public/build/manifest.json"
    if [ ! -f "$manifest" ] || [ -n "$(find "$ROOT/resources/js" "$ROOT/resources/css" "$ROOT/vite.config.ts" "$ROOT/package.json" "$ROOT/docs/guide" -newer "$manifest" -print -quit)" ]; then
        step "building the interface"
        (cd "$ROOT" && npm run --silent build >"$VAR/build.log" 2>&1) || { tail -30 "$VAR/build.log" >&2; fail "the interface could not be built"; }
    fi
}

# Runs a command as an unprivileged user when called by root: PostgreSQL insists, and the rest is better so.
# The capability lets it read a checkout below a closed home folder; what it writes lies in var/, its own.
as_unprivileged=()
if [ "$(id -u)" = 0 ]; then
    as_unprivileged=(setpriv "--reuid=$RUN_AS" "--regid=$RUN_AS" --clear-groups --inh-caps=+dac_read_search --ambient-caps=+dac_read_search -- env "HOME=$VAR")
fi
# What it writes is for its owner alone: keys, sessions and the cached configuration are among it.
unprivileged() { (umask 077; "${as_unprivileged[@]}" "$@"); }

# The same in the background, with the process itself as the child, in a group of its own: a Ctrl-C is meant for us
# alone, who end them in order, and whatever it started ends with it. Its number is kept, for whoever comes after a crash.
CHILD=''
in_background() { # name, log file, command
    local name="$1" log="$2"
    shift 2
    (umask 077; exec setsid "${as_unprivileged[@]}" "$@" >>"$log" 2>&1 9>&-) &
    CHILD=$!
    CHILDREN=("$CHILD" "${CHILDREN[@]}")
    NAMES[$CHILD]="$name"
    mkdir -p "$VAR/run"
    echo "$CHILD" > "$VAR/run/$name.pid"
}

# Whether a process is still there; one that has ended and was not yet waited for is not.
# Read without starting anything: it is asked many times a second.
is_running() { # process
    local line state
    { read -r line < "/proc/$1/stat"; } 2>/dev/null || return 1
    state="${line##*) }"
    [ "${state:0:1}" != Z ] && [ "${state:0:1}" != X ]
}

# Ends a process and all of its group, first politely. Never takes longer than a few seconds.
end_process() { # process, signal
    local pid="$1" tries
    kill "-$2" "$pid" 2>/dev/null || true
    for ((tries = 0; tries < 80; tries++)); do
        is_running "$pid" || break
        sleep 0.1
    done
    kill -KILL -- "-$pid" 2>/dev/null || true
    wait "$pid" 2>/dev/null || true
}

# Whether a number is still that of a process of this instance: by what it was called with, or what it was told.
is_ours() { # process
    cat "/proc/$1/cmdline" "/proc/$1/environ" 2>/dev/null | tr '\0' '\n' | grep -qF -e "$VAR/" -e "IRON_START_VAR=$VAR"
}

# What a start that was killed outright has left running of this instance, by the numbers it kept.
end_leftovers() {
    local file pid name
    for file in "$VAR"/run/*.pid; do
        [ -f "$file" ] || continue
        name="$(basename "$file" .pid)" pid="$(cat "$file")"
        if [[ "$pid" =~ ^[0-9]+$ ]] && is_ours "$pid"; then
            step "ending $name, left from before"
            end_process "$pid" "$([ "$name" = postgres ] && echo INT || echo TERM)"
        fi
        rm -f "$file"
    done
}

# One at a time for each instance. The lock lies beside its folder, so that it outlives the folder.
take_lock() { # what to say when somebody has it
    mkdir -p "$ROOT/var"
    exec 9>"$ROOT/var/$INSTANCE.lock"
    flock -n 9 || fail "$1"
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo parse_url("tcp://" . stream_socket_get_name($s, false), PHP_URL_PORT);'; }
port_free() { php -r 'exit(@stream_socket_server("tcp://127.0.0.1:$argv[1]") ? 0 : 1);' "$1"; }

prepare_var() {
    [ "$(id -u)" = 0 ] || [ -w "$VAR" ] || fail "$VAR belongs to somebody else: start it as that user, or as root"
    mkdir -p "$VAR"/{cache,storage/framework/{views,cache,sessions},storage/logs,tmp}
    export IRON_START_VAR="$VAR"
    export APP_CONFIG_CACHE="$VAR/cache/config.php" APP_ROUTES_CACHE="$VAR/cache/routes.php" APP_EVENTS_CACHE="$VAR/cache/events.php"
    export APP_SERVICES_CACHE="$VAR/cache/services.php" APP_PACKAGES_CACHE="$VAR/cache/packages.php"
    [ "$(id -u)" != 0 ] || chown -R "$RUN_AS:$RUN_AS" "$VAR"
    chmod -R go= "$VAR"
}

secret() { php -r 'echo bin2hex(random_bytes(24));'; }

# A secret of this instance, made when it is first asked for.
secret_file() { # name
    [ -f "$VAR/$1" ] || (umask 077; secret > "$VAR/$1")
    [ "$(id -u)" != 0 ] || chown "$RUN_AS:$RUN_AS" "$VAR/$1"
}

# Speaks to the cluster as its owner; statements come from the arguments or the input.
owner_psql() { # database, arguments
    PGPASSWORD="$(cat "$VAR/database.secret")" "$(pg_bin)/psql" -h 127.0.0.1 -p "$(cat "$VAR/database.port")" -U iron -d "$1" -qAt -v ON_ERROR_STOP=1 "${@:2}"
}

# Whether a cluster that runs already answers with this instance's secret.
database_answers() {
    owner_psql ironstart -c 'SELECT 1' >/dev/null 2>&1
}

# Runs the cluster on its port until it answers. Fails when it ends before it does.
launch_postgres() {
    local bin port tries=0
    bin="$(pg_bin)" port="$(cat "$VAR/database.port")"
    in_background postgres "$VAR/postgres.log" "$bin/postgres" -D "$VAR/postgres" -c listen_addresses=127.0.0.1 -c port="$port" -c unix_socket_directories='' -c timezone=UTC
    POSTGRES_PID=$CHILD
    until owner_psql postgres -c 'SELECT 1' >/dev/null 2>&1; do
        kill -0 "$POSTGRES_PID" 2>/dev/null || return 1
        tries=$((tries + 1)); [ $tries -lt 300 ] || fail "PostgreSQL does not answer"
        sleep 0.1
    done
}

# A PostgreSQL cluster of the instance's own, on loopback, with passwords made here. Its owner makes the tables and gives
# the application's role its rights (OWNER_URL); the application runs under that role, which owns nothing (DATABASE_URL).
start_postgres() {
    local bin data="$VAR/postgres" port
    bin="$(pg_bin)"
    if [ ! -f "$data/PG_VERSION" ]; then
        step "making a database cluster"
        secret_file database.secret
        unprivileged "$bin/initdb" -D "$data" -U iron --auth=scram-sha-256 --pwfile="$VAR/database.secret" --encoding=UTF8 --locale=C.UTF-8 >"$VAR/initdb.log" 2>&1 || { cat "$VAR/initdb.log" >&2; fail "the database cluster could not be made"; }
    fi
    port="$(cat "$VAR/database.port" 2>/dev/null || true)"
    if [ -z "$port" ] || ! port_free "$port"; then port="$(free_port)"; fi
    printf '%s' "$port" > "$VAR/database.port"
    launch_postgres || { tail -20 "$VAR/postgres.log" >&2; fail "PostgreSQL did not start"; }
    secret_file app.secret
    owner_psql postgres -c "SELECT 1 FROM pg_database WHERE datname = 'ironstart'" | grep -q 1 || owner_psql postgres -c 'CREATE DATABASE ironstart'
    owner_psql postgres -c "SELECT 1 FROM pg_roles WHERE rolname = '$APP_ROLE'" | grep -q 1 || owner_psql postgres -c "CREATE ROLE $APP_ROLE LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOINHERIT"
    owner_psql postgres <<<"ALTER ROLE $APP_ROLE PASSWORD '$(cat "$VAR/app.secret")'"
    OWNER_URL="pgsql://iron:$(cat "$VAR/database.secret")@127.0.0.1:$port/ironstart"
    DATABASE_URL="pgsql://$APP_ROLE:$(cat "$VAR/app.secret")@127.0.0.1:$port/ironstart"
}

# The settings of this instance, as the application reads them.
write_env() {
    [ -f "$VAR/app.key" ] || (umask 077; php -r 'echo "base64:" . base64_encode(random_bytes(32));' > "$VAR/app.key")
    (
        umask 077
        {
            echo "APP_KEY=$(cat "$VAR/app.key")"
            echo "APP_ENV=${APP_ENV_NAME:-production}"
            echo "DATABASE_URL=\"$DATABASE_URL\""
            echo "DATABASE_PERSISTENT=${DATABASE_PERSISTENT:-true}"
            echo "IRON_START_APP_ROLE=$APP_ROLE"
            echo "IRON_START_DEMO=${WITH_DEMO:-false}"
            echo "IRON_START_HOSTS=\"${IRON_START_HOSTS:-}\""
            [ -z "${CONTROLLER:-${IRON_START_CONTROLLER:-}}" ] || echo "IRON_START_CONTROLLER=\"${IRON_START_CONTROLLER:-$CONTROLLER}\""
            [ -z "${IRON_START_SENDMAIL:-}" ] || echo "IRON_START_SENDMAIL=\"$IRON_START_SENDMAIL\""
            [ -z "${IRON_START_MAIL_FROM:-}" ] || echo "IRON_START_MAIL_FROM=\"$IRON_START_MAIL_FROM\""
        } > "$VAR/.env"
        printf '%s' "${OWNER_URL:-$DATABASE_URL}" > "$VAR/owner.url"
    )
    chmod 600 "$VAR/.env" "$VAR/app.key" "$VAR/owner.url"
    [ "$(id -u)" != 0 ] || chown "$RUN_AS:$RUN_AS" "$VAR/.env" "$VAR/app.key" "$VAR/owner.url"
}

# The framework's command line as the owner of the tables: it reads no cached settings, since those are the application's.
artisan() {
    (
        export DATABASE_URL APP_CONFIG_CACHE="$VAR/cache/none.php"
        DATABASE_URL="$(cat "$VAR/owner.url")"
        unprivileged php "$ROOT/artisan" "$@"
    )
}

# The same for this instance, for people and for tests: $VAR/artisan.
write_artisan() {
    local name
    {
        printf '#!/usr/bin/env bash\nset -e\n'
        for name in IRON_START_VAR APP_ROUTES_CACHE APP_EVENTS_CACHE APP_SERVICES_CACHE APP_PACKAGES_CACHE; do printf 'export %s=%q\n' "$name" "${!name}"; done
        printf 'export APP_CONFIG_CACHE=%q DATABASE_URL\nDATABASE_URL="$(cat %q)"\numask 077\nexec' "$VAR/cache/none.php" "$VAR/owner.url"
        printf ' %q' "${as_unprivileged[@]}" php "$ROOT/artisan"
        printf ' "$@"\n'
    } > "$VAR/artisan"
    chmod 700 "$VAR/artisan"
}

cache_app() {
    for what in config route view; do unprivileged php "$ROOT/artisan" "$what:cache" >/dev/null || fail "artisan $what:cache failed"; done
}

# nginx and php-fpm on loopback; sets PORT.
start_web() {
    # A socket of its own in a short path: over TCP a page larger than one packet waits 40 ms for an acknowledgement.
    SOCKETS="$(mktemp -d "${TMPDIR:-/tmp}/iron-start.XXXXXX")"
    [ "$(id -u)" != 0 ] || chown "$RUN_AS:$RUN_AS" "$SOCKETS"
    PORT="${PORT:-$(free_port)}"
    [[ "${IRON_START_HOSTS:-}" =~ ^[A-Za-z0-9.*\ -]*$ ]] || fail "IRON_START_HOSTS wants names such as start.example.com, a space between them"
    port_free "$PORT" || fail "port $PORT is taken; choose another with --port"
    cat > "$VAR/fpm.conf" <<CONF
[global]
error_log = $VAR/fpm.log
daemonize = no
[app]
listen = $SOCKETS/fpm
listen.backlog = 1024
request_terminate_timeout = 60s
pm = static
pm.max_children = ${FPM_CHILDREN:-6}
pm.max_requests = 5000
clear_env = yes
catch_workers_output = yes
env[PATH] = /usr/bin:/bin
env[IRON_START_VAR] = $VAR
env[APP_CONFIG_CACHE] = $APP_CONFIG_CACHE
env[APP_ROUTES_CACHE] = $APP_ROUTES_CACHE
env[APP_EVENTS_CACHE] = $APP_EVENTS_CACHE
env[APP_SERVICES_CACHE] = $APP_SERVICES_CACHE
env[APP_PACKAGES_CACHE] = $APP_PACKAGES_CACHE
CONF
    cat > "$VAR/nginx.conf" <<CONF
daemon off;
pid $VAR/nginx.pid;
worker_processes 1;
worker_rlimit_nofile 8192;
error_log $VAR/nginx.log warn;
events { worker_connections 4000; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
    access_log off;
    server_tokens off;
    client_max_body_size 2m;
    # Whoever sends slowly waits here, where there is room for thousands, and is sent away after a while.
    client_header_timeout 15s;
    client_body_timeout 30s;
    send_timeout 60s;
    reset_timedout_connection on;
    client_body_temp_path $VAR/tmp/body;
    proxy_temp_path $VAR/tmp/proxy;
    fastcgi_temp_path $VAR/tmp/fastcgi;
    uwsgi_temp_path $VAR/tmp/uwsgi;
    scgi_temp_path $VAR/tmp/scgi;
    gzip on;
    gzip_min_length 512;
    gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
    # The name is that which was matched; the port is the one that was asked for.
    map \$http_host \$asked_port { default ''; "~(?<port>:[0-9]+)\$" \$port; }
    # Whoever asks for another name than ours is not meant for us.
    server { listen 127.0.0.1:$PORT default_server; return 421; }
    # No connection to a worker is kept: a kept one holds its worker, and with few workers others wait for nothing.
    upstream app { server unix:$SOCKETS/fpm; }
    server {
        listen 127.0.0.1:$PORT;
        server_name 127.0.0.1 localhost ${IRON_START_HOSTS:-};
        root $ROOT/public;
        index index.php;
        location /build/ { expires 1y; add_header Cache-Control "public, immutable"; add_header X-Content-Type-Options nosniff; gzip on; try_files \$uri =404; }
        location / { try_files \$uri /index.php\$is_args\$args; }
        error_page 413 /problems/too-large.json;
        location /problems/ { types { application/problem+json json; } }
        # Pictures, tables and loggers' files are larger than anything else that is sent.
        location ~ ^/api/v1/(machines/[0-9]+/photos|import/(sites|machines)(/preview)?|logger/[a-z_.]+/[a-z_]+|(judge|machines/[0-9]+/checks)/vrf\.leak_by)\$ {
            client_max_body_size 13m;
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$host\$asked_port;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_pass app;
        }
        location = /index.php {
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$host\$asked_port;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_pass app;
        }
    }
}
CONF
    launch_fpm
    launch_nginx
    local tries=0
    until curl -fsS -o /dev/null "http://127.0.0.1:$PORT/api/v1/session" 2>/dev/null; do
        kill -0 "$FPM_PID" 2>/dev/null || { tail -20 "$VAR/fpm.out" "$VAR/fpm.log" >&2; fail "php-fpm did not start"; }
        kill -0 "$NGINX_PID" 2>/dev/null || { tail -20 "$VAR/nginx.out" "$VAR/nginx.log" >&2; fail "nginx did not start"; }
        tries=$((tries + 1)); [ $tries -lt 100 ] || { tail -20 "$VAR/storage/logs/app.log" >&2 || true; fail "the application does not answer"; }
        sleep 0.1
    done
}

launch_fpm() {
    in_background fpm "$VAR/fpm.out" "/usr/sbin/php-fpm$PHP_VERSION" -y "$VAR/fpm.conf" -F \
        -d post_max_size=14M -d memory_limit=256M \
        -d opcache.enable=1 -d opcache.validate_timestamps=0 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d realpath_cache_ttl=600
    FPM_PID=$CHILD
}

launch_nginx() {
    in_background nginx "$VAR/nginx.out" nginx -e "$VAR/nginx.log" -c "$VAR/nginx.conf" -p "$VAR"
    NGINX_PID=$CHILD
}

# Stops what was started here, the last first, and waits for each. PostgreSQL is told to be quick about it. Whoever
# presses Ctrl-C again meanwhile gets no more than that.
stop_all() {
    trap - EXIT
    trap '' INT TERM HUP
    stop_children
    [ -z "${SOCKETS:-}" ] || rm -rf "$SOCKETS"
}
stop_children() {
    local pid
    for pid in "${CHILDREN[@]}"; do
        end_process "$pid" "$([ "$pid" = "${POSTGRES_PID:-}" ] && echo INT || echo TERM)"
        rm -f "$VAR/run/${NAMES[$pid]:-none}.pid"
    done
    CHILDREN=()
}

# Puts a whole folder in the place of the instance's own, which is set aside. Between the two steps there is none, or the
# old one has another name: whoever comes next finishes it, so that one of them is there at any moment.
switch_to() { # folder
    [ ! -d "$VAR" ] || mv "$VAR" "$VAR.switching"
    mv "$1" "$VAR"
    finish_switch
}
finish_switch() {
    local aside
    [ -d "$VAR.switching" ] || return 0
    if [ ! -d "$VAR" ]; then
        mv "$VAR.switching" "$VAR"
        step 'a restore was interrupted: what was there before is there again'
        return 0
    fi
    aside="$VAR.before-$(date +%Y%m%d-%H%M%S)"
    mv "$VAR.switching" "$aside"
    say "what was there is in $aside"
}

# Watches what runs: whatever ends by itself is told and started again, until that happens too often.
RESTARTS=()
supervise() {
    local ended name status now
    while true; do
        status=0 ended=''
        # One that ended while another was started again is no job any more: nobody is told of it by waiting.
        for name in "${CHILDREN[@]}"; do is_running "$name" || ended=$name; done
        [ -n "$ended" ] || wait -n -p ended "${CHILDREN[@]}" 2>/dev/null || status=$?
        [ -n "${ended:-}" ] || continue
        name="${NAMES[$ended]}" now=$SECONDS
        # What it had started itself must not go on in its place.
        kill -KILL -- "-$ended" 2>/dev/null || true
        forget_child "$ended"
        RESTARTS+=("$now")
        [ ${#RESTARTS[@]} -lt 8 ] || [ $((now - RESTARTS[-8])) -gt 60 ] || fail "$name ends again and again; see $VAR/*.log"
        say "  $(date +%H:%M:%S) $name ended ($status): starting it again"
        case $name in
            postgres) until launch_postgres; do forget_child "$POSTGRES_PID"; sleep 0.5; [ $((SECONDS - now)) -lt 60 ] || fail "PostgreSQL does not come back; see $VAR/postgres.log"; done ;;
            fpm) launch_fpm ;;
            nginx) launch_nginx ;;
            schedule) launch_schedule ;;
            controller) launch_controller ;;
        esac
    done
}
forget_child() { # process
    local pid kept=()
    for pid in "${CHILDREN[@]}"; do [ "$pid" = "$1" ] || kept+=("$pid"); done
    CHILDREN=("${kept[@]}")
}

launch_schedule() { in_background schedule "$VAR/schedule.log" php "$ROOT/artisan" schedule:work; }

# A simulated VRF controller on loopback, with the demo; sets CONTROLLER. It says itself where it listens.
CONTROLLER='' CONTROLLER_PORT=0 CONTROLLER_SPEED=60
start_controller() { # simulated minutes a minute
    CONTROLLER_SPEED="$1" CONTROLLER_PORT=0
    : >"$VAR/controller.log"
    launch_controller
    until CONTROLLER="$(sed -n 's/^listening on //p' "$VAR/controller.log")" && [ -n "$CONTROLLER" ]; do
        is_running "$CHILD" || { cat "$VAR/controller.log" >&2; fail 'the simulated controller did not start'; }
        sleep 0.1
    done
    CONTROLLER_PORT="${CONTROLLER##*:}"
}
launch_controller() { in_background controller "$VAR/controller.log" php "$ROOT/bin/controller" --port "$CONTROLLER_PORT" --speed "$CONTROLLER_SPEED"; }
