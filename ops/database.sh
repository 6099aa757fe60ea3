# shellcheck shell=bash
# MariaDB on loopback, from a data folder of the project's own.

# Chooses where data and logs live and reads or makes the secrets. One set for each purpose: main, test, bench.
prepare_environment() {
  local purpose=$1
  mkdir -p storage/tempesal storage/logs storage/framework/{cache/data,sessions,views} bootstrap/cache
  STATE="${TEMPESAL_STATE:-$(state_home)}/$purpose"
  # The database's own user has to come through to its folder, however careful the caller is.
  (umask 022 && mkdir -p "$STATE")
  STATE=$(cd "$STATE" && pwd)
  # What is written from here on is nobody else's: secrets, settings, sessions, photos.
  umask 077
  keep_private
  # Short, as the path of a socket has to be, and of this folder of data alone.
  SOCKET="/tmp/tempesal-$(printf '%s' "$STATE" | sha256sum | cut -c1-10).sock"
  LOG="$PRIVATE/logs/$purpose.log"
  SECRETS="$PRIVATE/secrets"
  if [ ! -f "$SECRETS" ]; then
    printf 'APP_KEY=base64:%s\nDB_PASSWORD=%s\n' "$(head -c32 /dev/urandom | base64)" "$(head -c18 /dev/urandom | base64 | tr -d '/+=')" >"$SECRETS"
  fi
  set -a
  # shellcheck disable=SC1090
  . "$SECRETS"
  set +a
  export APP_ENV=production
  [ "$purpose" != test ] || export APP_ENV=testing
  export TEMPESAL_PHOTOS="$PRIVATE/photos" TEMPESAL_OUTBOX="$PRIVATE/outbox" TEMPESAL_UPLOADS="$PRIVATE/uploads"
  export TEMPESAL_SESSIONS="$PRIVATE/sessions" TEMPESAL_CACHE="$PRIVATE/cache"
  export TEMPESAL_LOGS="$PRIVATE/logs"
  export DB_HOST=127.0.0.1 DB_USERNAME=tempesal
}

# A folder that only its owner opens, beside the database's own; what lay outside it before goes in.
keep_private() {
  PRIVATE="$STATE/private"
  mkdir -p "$PRIVATE/sessions" "$PRIVATE/cache" "$PRIVATE/logs"
  local kept
  for kept in secrets photos; do
    if [ -e "$STATE/$kept" ] && [ ! -e "$PRIVATE/$kept" ]; then
      mv "$STATE/$kept" "$PRIVATE/$kept"
    fi
  done
  rm -f "$STATE"/settings-*.php "$STATE"/addresses-*.php
  chmod -R u=rwX,go= "$PRIVATE" storage/framework/sessions
}

# In the checkout where the database's user can reach it, otherwise where root keeps such things.
state_home() {
  local inside="$ROOT/storage/tempesal/state"
  if [ "$(id -u)" -ne 0 ] || runuser -u mysql -- test -x "$ROOT/storage" 2>/dev/null; then
    printf '%s' "$inside"
  else
    printf '/var/lib/tempesal-%s' "$(printf '%s' "$ROOT" | sha256sum | cut -c1-10)"
  fi
}

free_port() { # from
  local port=$1
  while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do port=$((port + 1)); done
  printf '%s' "$port"
}

as_admin() { mariadb --no-defaults --socket="$SOCKET" --user="$(id -un)" "$@"; }

# Whether the database of this folder answers; another one never counts.
database_answers() { [ -S "$SOCKET" ] && [ "$(as_admin -BN -e 'SELECT @@datadir' 2>/dev/null)" = "$STATE/mariadb/" ]; }

# Starts the database, or uses the one that runs already, and makes the one of that name in it.
start_database() { # purpose, database name
  export DB_DATABASE=$2
  if database_answers; then
    DB_PORT=$(as_admin -BN -e 'SELECT @@port')
    export DB_PORT
    say "Using the database that is already running on port $DB_PORT."
  else
    lay_out_database
    local tries
    for tries in 1 2 3 4 5; do
      # Another start may take the port that was free a moment ago.
      DB_PORT=$(free_port 3310)
      export DB_PORT
      launch_database "$1"
      ! await_database || break
      [ "$tries" -lt 5 ] || fail "The database did not start; see $LOG."
    done
  fi
  make_database "$2"
}

lay_out_database() {
  local data="$STATE/mariadb" user=()
  if [ "$(id -u)" -eq 0 ]; then
    user=(--user=mysql)
    # Its user passes through to the data, and sees nothing else.
    chmod 711 "$STATE"
  fi
  [ ! -d "$data/mysql" ] || return 0
  say "Making a database of Tempesal's own."
  mkdir -p "$data"
  [ "$(id -u)" -ne 0 ] || chown mysql: "$data"
  mariadb-install-db --no-defaults --datadir="$data" --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" \
    --skip-test-db "${user[@]}" >>"$LOG" 2>&1 || fail "The database could not be made; see $LOG."
}

# Starts the server on DB_PORT and does not wait. Sets DATABASE_PID.
launch_database() { # purpose
  local data="$STATE/mariadb" user=() quick=() server
  [ "$(id -u)" -ne 0 ] || user=(--user=mysql)
  [ "$1" = main ] || quick=(--innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0)
  server=$(command -v mariadbd || echo /usr/sbin/mariadbd)
  setsid "$server" --no-defaults --datadir="$data" --socket="$SOCKET" --pid-file="$data/mariadb.pid" \
    --bind-address=127.0.0.1 --port="$DB_PORT" --character-set-server=utf8mb4 --skip-name-resolve \
    --innodb-buffer-pool-size=128M "${quick[@]}" "${user[@]}" >>"$LOG" 2>&1 </dev/null &
  DATABASE_PID=$!
  disown
  note_process database "$DATABASE_PID"
}

# Until it answers: after a fault it first puts right what it was writing. Fails when it ended, or within a minute.
await_database() {
  local tries=0
  until database_answers; do
    tries=$((tries + 1))
    { kill -0 "$DATABASE_PID" 2>/dev/null && [ "$tries" -lt 600 ]; } || return 1
    sleep 0.1
  done
}

make_database() { # name
  # Not as an argument: those are seen by every account of the machine.
  as_admin <<<"CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
    CREATE USER IF NOT EXISTS 'tempesal'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
    ALTER USER 'tempesal'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
    GRANT ALL ON \`tempesal%\`.* TO 'tempesal'@'127.0.0.1';"
}
