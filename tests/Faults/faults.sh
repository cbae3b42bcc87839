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

# Nobody gets an error, nobody is starved, also beside those who send half a request; how long it takes bin/bench load tells.
fifty_at_once() {
    fresh_demo
    php bin/lib/bench-load.php "$BASE_URL" 6 errors
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
            forget_child "$POSTGRES_PID"
            # Its children end by themselves; until they have, another can't start.
            until launch_postgres; do sleep 0.2; done
            ;;
        fpm)
            kill -9 -- "-$FPM_PID"
            wait "$FPM_PID" 2>/dev/null || true
            forget_child "$FPM_PID"
            launch_fpm
            ;;
    esac
    acknowledged "$file" 60 "$clients" || true
    wait "$clients" || { echo 'some were never taken'; return 1; }
    php tests/Faults/recordings.php check "$BASE_URL" RTU-2 "$file" && bin/verify "$file.json"
}

# All of it in one file, and back into another instance: the same rows, the same keys, and a record that still proves
# itself. Nothing less is called a backup, and nothing half is ever put back.
RESTORED="$ROOT/var/restored"
backed_up_and_restored() {
    fresh_demo
    local file="$VAR/tmp/backup.tgz" moment pid
    rm -rf "$file"* "$RESTORED"*
    ! bin/backup --instance "$INSTANCE" "$VAR/tmp/no such folder/backup.tgz" || { echo 'a backup without a folder'; return 1; }
    ! (ulimit -f 40; bin/backup --instance "$INSTANCE" "$file") || { echo 'a backup without room'; return 1; }
    [ -z "$(find "$VAR/tmp" -name 'backup.tgz*' -o -name '.backup.*')" ] || { echo 'a backup that failed left something'; return 1; }
    bin/backup --instance "$INSTANCE" "$file" || return 1
    bin/restore --instance restored "$file" || return 1
    ! bin/restore --instance restored "$file" 2>/dev/null || { echo 'a second restore went over the first'; return 1; }
    refused_to_restore 'half a file' "$(head -c 1000 "$file" > "$file.cut"; echo "$file.cut")" || return 1
    refused_to_restore 'a file more' "$(packed_again "$file" 'echo x > photos/more')" || return 1
    refused_to_restore 'a link' "$(packed_again "$file" 'ln -s /etc/passwd keys/link')" || return 1
    refused_to_restore 'another key' "$(packed_again "$file" 'echo x >> app.key')" || return 1
    refused_to_restore 'no database' "$(packed_again "$file" 'rm database.dump; sed -i /database.dump/d SUMS')" || return 1
    counts_of restored > "$VAR/tmp/there.txt"
    counts > "$VAR/tmp/here.txt"
    cat "$VAR/tmp/there.txt"
    cmp "$VAR/tmp/here.txt" "$VAR/tmp/there.txt" && diff -r "$VAR/keys" "$RESTORED/keys" || return 1
    # Killed in the middle of it: what was there is there, and the next one goes through.
    for moment in 0.5 2 4; do
        bin/restore --instance restored --replace "$file" >/dev/null 2>&1 & pid=$!
        sleep $moment
        kill -9 "$pid" 2>/dev/null || true
        wait "$pid" 2>/dev/null || true
        pgrep -f "$RESTORED.restoring/postgres" | xargs -r kill -9
        counts_of restored | cmp - "$VAR/tmp/here.txt" || { echo "a restore killed after $moment s was felt"; return 1; }
    done
    # Killed between the two names: whoever comes next puts the old one back.
    mv "$RESTORED" "$RESTORED.switching"
    ! bin/restore --instance restored "$file" > "$VAR/tmp/second.log" 2>&1 && grep -q 'what was there before is there again' "$VAR/tmp/second.log" || { cat "$VAR/tmp/second.log"; return 1; }
    bin/restore --instance restored --replace "$file" || return 1
    [ -n "$(compgen -G "$RESTORED.before-*")" ] || { echo 'what was replaced is gone'; return 1; }
    # An instance that has a database elsewhere, beside an old cluster of its own: what is in use is kept, not the old one.
    rm -rf "$ROOT/var/outside" && mkdir -p "$ROOT/var/outside/postgres" && cp "$VAR/.env" "$VAR/owner.url" "$VAR/app.key" "$ROOT/var/outside" && echo 1 > "$ROOT/var/outside/database.port"
    bin/backup --instance outside "$file.outside" || return 1
    [ "$(tar -xzOf "$file.outside" ./database.dump | "$(pg_bin)/pg_restore" --data-only -t entries -f - | grep -c "^[0-9]")" = "$(owner_psql ironstart -c 'SELECT count(*) FROM entries')" ] || { echo 'the old cluster was kept'; return 1; }
    rm -rf "$ROOT/var/outside"
    # A record that was changed underneath is told, and only taken when somebody says so.
    owner_psql ironstart -c "ALTER TABLE notes DISABLE TRIGGER USER; UPDATE notes SET text = 'nothing'; ALTER TABLE notes ENABLE TRIGGER USER"
    bin/backup --instance "$INSTANCE" "$file.changed" || return 1
    refused_to_restore 'a changed record' "$file.changed" || return 1
    bin/restore --instance restored --replace --anyway "$file.changed" | grep 'is not as it was written' || return 1
    rm -rf "$RESTORED"*
}
refused_to_restore() { # what it is, file
    ! bin/restore --instance restored --replace "$2" > "$VAR/tmp/refused.log" 2>&1 || { echo "$1 was taken"; return 1; }
    grep -q 'nothing was changed' "$VAR/tmp/refused.log" || { cat "$VAR/tmp/refused.log"; return 1; }
    echo "refused: $1"
}
packed_again() { # backup, what to do to it
    local folder
    folder="$(mktemp -d "$VAR/tmp/again.XXXXXX")"
    tar -xzf "$1" -C "$folder"
    (cd "$folder" && eval "$2")
    tar -czf "$folder.tgz" -C "$folder" .
    rm -rf "$folder"
    echo "$folder.tgz"
}
counts_of() { # instance
    (
        INSTANCE="$1" CHILDREN=()
        . bin/lib/instance.sh
        launch_postgres
        trap stop_all EXIT
        counts
    )
}
counts() {
    local table
    for table in machines entries readings verdicts chain_links users; do
        echo "$table $(owner_psql ironstart -c "SELECT count(*), coalesce(sum(id), 0) FROM $table")"
    done
}

# bin/start itself: what is killed comes back, Ctrl-C ends all of it at any moment, and nothing is deleted beside it.
SUPERVISED="$ROOT/var/supervised"
supervised() {
    local log="$VAR/tmp/supervised.log" url pid tries name moment
    rm -rf "$SUPERVISED"
    started "$log" || return 1
    url="$(sed -n 's/^ *\(http:[^ ]*\)$/\1/p' "$log" | head -1)"
    bin/start --instance supervised --fresh --yes --no-demo > "$VAR/tmp/second.log" 2>&1 && { echo 'a second start went on'; return 1; }
    grep -q 'it is running already' "$VAR/tmp/second.log" && [ -f "$SUPERVISED/postgres/PG_VERSION" ] || { echo 'a second start deleted what the first runs on'; return 1; }
    for name in nginx fpm postgres schedule; do
        kill -9 "$(cat "$SUPERVISED/run/$name.pid")"
        tries=0
        until grep -q "$name ended" "$log" && { [ $name = schedule ] || curl -fsS -o /dev/null "$url/api/v1/session" 2>/dev/null; }; do
            tries=$((tries + 1)); [ $tries -lt 200 ] || { echo "$name did not come back"; cat "$log"; return 1; }
            sleep 0.1
        done
        echo "$name was killed and came back"
    done
    interrupted "$STARTED" || return 1
    # At moments in between, too.
    for moment in 0.1 0.4 0.8 1.2 1.7 2.3 3; do
        (set -m; exec env --default-signal=INT bin/start --instance supervised --no-demo > "$log" 2>&1) & pid=$!
        sleep $moment
        interrupted "$pid" || return 1
    done
    for tries in 0 1023 65536 http 80800; do
        bin/start --port "$tries" > "$VAR/tmp/second.log" 2>&1 && { echo "port $tries was taken"; return 1; }
        grep -q 'a port is a number from 1024 to 65535' "$VAR/tmp/second.log" || { cat "$VAR/tmp/second.log"; return 1; }
    done
    # Killed outright, it leaves what it ran behind; the next start ends that and goes on.
    started "$log" || return 1
    pid="$(cat "$SUPERVISED/run/schedule.pid")"
    kill -9 "$STARTED"
    wait "$STARTED" 2>/dev/null || true
    kill -0 "$pid" || { echo 'the schedule was ended by nobody'; return 1; }
    started "$log" || return 1
    ! kill -0 "$pid" 2>/dev/null || { echo 'the old schedule goes on beside the new one'; return 1; }
    grep -q 'ending postgres, left from before' "$log" || { cat "$log"; return 1; }
    interrupted "$STARTED" || return 1
    rm -rf "$SUPERVISED"
}

# A process of its own that takes Ctrl-C as a terminal would send it, also where whoever runs the tests ignores it.
STARTED=''
started() { # log file
    local tries=0
    : > "$1"
    set -m
    env --default-signal=INT bin/start --instance supervised --no-demo > "$1" 2>&1 &
    STARTED=$!
    set +m
    until grep -q 'Ctrl-C stops it' "$1"; do
        tries=$((tries + 1)); [ $tries -lt 900 ] && kill -0 "$STARTED" 2>/dev/null || { echo 'it did not start'; cat "$1"; return 1; }
        sleep 0.1
    done
}

interrupted() { # process
    local tries=0 left
    kill -INT "$1"
    while kill -0 "$1" 2>/dev/null; do
        tries=$((tries + 1)); [ $tries -lt 300 ] || { echo 'Ctrl-C did not end it within 30 seconds'; return 1; }
        sleep 0.1
    done
    wait "$1" 2>/dev/null || true
    left="$(pgrep -f "$SUPERVISED/" || true)"
    [ -z "$left" ] || { echo "left running after Ctrl-C:"; ps -fp $left; return 1; }
    echo "Ctrl-C ended all of it after $((tries / 10)).$((tries % 10)) s"
}
