# Faults that must be survived, on the instance that runs. Sourced by bin/test.

fresh_demo() {
    "$VAR/artisan" migrate:fresh --force --no-interaction >/dev/null
    "$VAR/artisan" db:seed --class=DemoSeeder --force --no-interaction >/dev/null
}

at_the_same_moment() {
    fresh_demo
    "$VAR/artisan" db:seed --class='Tests\Support\AnsweredSeeder' --force --no-interaction >/dev/null
    php tests/Faults/same_moment.php "$BASE_URL"
}

# Waits until so many readings are acknowledged, or those who record have ended.
acknowledged() { # file, how many, process
    until [ "$(wc -l < "$1")" -ge "$2" ]; do kill -0 "$3" 2>/dev/null || return 1; sleep 0.05; done
}

# 200 recordings from four devices; in the middle of them a server dies without a word and is started again.
killed() { # postgres or fpm
    local file="$VAR/tmp/acknowledged-$1" clients
    fresh_demo
    : > "$file"
    php tests/Faults/recordings.php record "$BASE_URL" RTU-2 "$file" &
    clients=$!
    acknowledged "$file" 40 "$clients" || { echo 'the recording ended too early'; return 1; }
    echo "killed after $(wc -l < "$file") were acknowledged"
    case $1 in
        postgres)
            kill -9 "$POSTGRES_PID"
            wait "$POSTGRES_PID" 2>/dev/null || true
            # Its children end by themselves; until they have, another can't start.
            until launch_postgres; do sleep 0.2; done
            ;;
        fpm)
            kill -9 "$FPM_PID" $(cat "/proc/$FPM_PID/task/$FPM_PID/children")
            wait "$FPM_PID" 2>/dev/null || true
            launch_fpm
            ;;
    esac
    acknowledged "$file" 60 "$clients" || true
    wait "$clients" || { echo 'some were never taken'; return 1; }
    php tests/Faults/recordings.php check "$BASE_URL" RTU-2 "$file" && bin/verify "$file.json"
}
