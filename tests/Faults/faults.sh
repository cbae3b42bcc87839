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

# All of it in one file, and back into another instance: the same rows, the same keys, and a record that still proves itself.
backed_up_and_restored() {
    fresh_demo
    local file="$VAR/tmp/backup.tgz" there="$ROOT/var/restored" tables='machines entries readings verdicts chain_links users'
    rm -rf "$file" "$there"
    bin/backup --instance "$INSTANCE" "$file" || return 1
    bin/restore --instance restored "$file" || return 1
    ! bin/restore --instance restored "$file" 2>/dev/null || { echo 'a second restore went over the first'; return 1; }
    head -c 1000 "$file" > "$file.cut"
    ! bin/restore --instance restored --replace "$file.cut" 2>/dev/null || { echo 'half a file was taken'; return 1; }
    (
        there_vars=(INSTANCE=restored)
        export "${there_vars[@]}"
        CHILDREN=()
        . bin/lib/instance.sh
        launch_postgres
        trap stop_all EXIT
        for table in $tables; do
            echo "$table $(PGPASSWORD="$(cat "$VAR/database.secret")" "$(pg_bin)/psql" -h 127.0.0.1 -p "$(cat "$VAR/database.port")" -U iron -d ironstart -qAtc "SELECT count(*), coalesce(sum(id), 0) FROM $table")"
        done
    ) > "$VAR/tmp/there.txt"
    for table in $tables; do
        echo "$table $(PGPASSWORD="$(cat "$VAR/database.secret")" "$(pg_bin)/psql" -h 127.0.0.1 -p "$(cat "$VAR/database.port")" -U iron -d ironstart -qAtc "SELECT count(*), coalesce(sum(id), 0) FROM $table")"
    done > "$VAR/tmp/here.txt"
    cat "$VAR/tmp/there.txt"
    cmp "$VAR/tmp/here.txt" "$VAR/tmp/there.txt" && diff -r "$VAR/keys" "$there/keys" && rm -rf "$there"
}
