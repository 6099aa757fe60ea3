# shellcheck shell=bash
# Libraries, screens, web server.

ensure_php_libraries() {
  local php_side
  php_side=$(fingerprint composer.json)
  if [ ! -f vendor/autoload.php ] || ! unchanged composer "$php_side"; then
    say "Installing PHP libraries."
    mkdir -p storage/logs bootstrap/cache
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress >storage/logs/composer.log 2>&1 \
      || fail "The PHP libraries could not be installed; see storage/logs/composer.log."
    mark composer "$php_side"
  fi
  forget_removed_classes
}

# New classes are found by their names; only those that are gone must leave Composer's list.
forget_removed_classes() {
  local list=storage/tempesal/classes
  find app core database tests -name '*.php' | LC_ALL=C sort >"$list.now"
  if [ -f "$list" ] && [ -n "$(LC_ALL=C comm -23 "$list" "$list.now")" ]; then
    COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload --no-interaction >>storage/logs/composer.log 2>&1 \
      || fail "The list of classes could not be made; see storage/logs/composer.log."
  fi
  mv "$list.now" "$list"
}

ensure_dependencies() {
  local node_side
  ensure_php_libraries
  node_side=$(fingerprint package.json package-lock.json)
  if [ ! -d node_modules/vite ] || ! unchanged npm "$node_side"; then
    say "Installing libraries for the screens."
    mkdir -p storage/logs
    npm ci --no-audit --no-fund >storage/logs/npm.log 2>&1 \
      || fail "The libraries for the screens could not be installed; see storage/logs/npm.log."
    mark npm "$node_side"
  fi
}

ensure_built() {
  local screens
  screens=$(fingerprint web messages package-lock.json contract)
  if [ ! -f public/build/index.html ] || ! unchanged screens "$screens"; then
    say "Building the screens."
    npm run --silent build >storage/logs/build.log 2>&1 || fail "The screens could not be built; see storage/logs/build.log."
    mark screens "$screens"
  fi
}

# How many answer at once.
WEB_WORKERS=4

# Serves on the port, or on the next free one, and waits until it answers. Sets URL and WEB_PID.
start_web() { # port
  local wanted=$1 tries
  HOST=${TEMPESAL_HOST:-127.0.0.1}
  for tries in 1 2 3 4 5; do
    PORT=$(free_port "$wanted")
    URL="http://$HOST:$PORT"
    export APP_URL=$URL
    read_settings
    launch_web
    if await_web; then
      printf '%s' "$URL" >"$PRIVATE/address"
      [ "$PORT" = "$wanted" ] || say "Port $wanted is taken; using $PORT."
      return
    fi
    [ "$tries" -lt 5 ] || fail "The web server did not start; see $LOG."
  done
}

# Settings and addresses are read once, into files beside this start's own data: other starts never see them.
read_settings() {
  SETTINGS_CACHE="$PRIVATE/settings-$DB_DATABASE.php"
  ADDRESSES_CACHE="$PRIVATE/addresses-$DB_DATABASE.php"
  rm -f "$SETTINGS_CACHE" "$ADDRESSES_CACHE"
  local -x APP_CONFIG_CACHE=$SETTINGS_CACHE APP_ROUTES_CACHE=$ADDRESSES_CACHE
  { php artisan config:cache && php artisan route:cache; } >>"$LOG" 2>&1 || fail "The settings could not be read; see $LOG."
}

# Starts the server on HOST and PORT and does not wait. Sets WEB_PID, which is also its group.
launch_web() {
  APP_CONFIG_CACHE=$SETTINGS_CACHE APP_ROUTES_CACHE=$ADDRESSES_CACHE PHP_CLI_SERVER_WORKERS=$WEB_WORKERS \
    setsid php -d opcache.validate_timestamps=0 -d variables_order=EGPCS -d upload_max_filesize=48M -d post_max_size=50M \
    -d memory_limit=512M -d expose_php=0 -q -S "$HOST:$PORT" -t public public/router.php >>"$LOG" 2>&1 </dev/null &
  WEB_PID=$!
  disown
  note_process web "$WEB_PID"
}

await_web() {
  local tries=0
  until curl -fs -o /dev/null "$URL/health"; do
    tries=$((tries + 1))
    { kill -0 "$WEB_PID" 2>/dev/null && [ "$tries" -lt 100 ]; } || return 1
    sleep 0.1
  done
}
