# Faults that must be survived, on the instance that runs. Sourced by bin/test.

fresh_demo() {
    "$VAR/artisan" migrate:fresh --force --no-interaction >/dev/null
    "$VAR/artisan" db:seed --class=DemoSeeder --force --no-interaction >/dev/null
}

# What holds a password or a key is for its owner alone; who asks by another name, or for what is not here, gets nothing.
secrets_are_kept() {
    local file mode told=0 name
    for name in database.secret app.secret app.key; do
        while read -r file; do
            mode="$(stat -c %a "$file")"
            told=$((told + 1))
            [[ "$mode" =~ ^[67]00$ ]] || { echo "$file holds $name and is open to others ($mode)"; return 1; }
        done < <(grep -rlF --exclude-dir=postgres -e "$(cat "$VAR/$name")" "$VAR")
    done
    [ "$told" -ge 6 ] || { echo "only $told files hold secrets: the cached configuration must be one"; return 1; }
    for file in "$VAR" "$VAR/postgres" "$VAR/keys" "$VAR/storage"; do
        [ "$(stat -c %a "$file")" = 700 ] || { echo "$file is open to others"; return 1; }
    done
    is_answered 200 127.0.0.1 session && is_answered 200 localhost session && is_answered 421 elsewhere.example session \
        && is_answered 421 "127.0.0.1.elsewhere.example" session && is_answered 404 127.0.0.1 machines/1/nothing
}
is_answered() { # status, host, path
    local status
    status="$(curl -s -o /dev/null -w '%{http_code}' -H "Host: $2" -H 'Accept: application/json' "$BASE_URL/api/v1/$3")"
    echo "$2 $3: $status"
    [ "$status" = "$1" ]
}

# A sample; bin/bench fuzz sends twenty thousand.
fuzzed() {
    fresh_demo
    php tests/Faults/fuzz.php "$BASE_URL" 2000 1
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
            echo "$table $(owner_psql ironstart -c "SELECT count(*), coalesce(sum(id), 0) FROM $table")"
        done
    ) > "$VAR/tmp/there.txt"
    for table in $tables; do
        echo "$table $(owner_psql ironstart -c "SELECT count(*), coalesce(sum(id), 0) FROM $table")"
    done > "$VAR/tmp/here.txt"
    cat "$VAR/tmp/there.txt"
    cmp "$VAR/tmp/here.txt" "$VAR/tmp/there.txt" && diff -r "$VAR/keys" "$there/keys" && rm -rf "$there"
}
