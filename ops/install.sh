#!/usr/bin/env bash
# Sets Tempesal up on Debian as a service: its own user, MariaDB, php-fpm, nginx with a certificate of this home's own
# authority, and a backup every night. It can be run again; what is there is brought up to date, secrets stay.
#   ops/install.sh [--host NAME] [--prefix FOLDER]
# With --prefix everything is written below a folder and nothing is started: to look at it, or to try it.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$ROOT"
# shellcheck source=ops/say.sh
. ops/say.sh
# shellcheck source=ops/packages.sh
. ops/packages.sh
# shellcheck source=ops/application.sh
. ops/application.sh

HOST=$(hostname -f 2>/dev/null || hostname)
PREFIX=
HTTP_PORT=80
HTTPS_PORT=443
CHILDREN=${TEMPESAL_CHILDREN:-12}
while [ $# -gt 0 ]; do
  case "$1" in
    --host) HOST=${2:?Say which name.} && shift 2 ;;
    --prefix) PREFIX=${2:?Say which folder.} && shift 2 ;;
    --http-port) HTTP_PORT=${2:?Say which port.} && shift 2 ;;
    --https-port) HTTPS_PORT=${2:?Say which port.} && shift 2 ;;
    *) fail_usage "Say ops/install.sh [--host NAME] [--prefix FOLDER]." ;;
  esac
done

STATE="$PREFIX/var/lib/tempesal"
LOGS="$PREFIX/var/log/tempesal"
BACKUPS="$PREFIX/var/backups/tempesal"
ETC="$PREFIX/etc/tempesal"
TLS="$ETC/tls"
SOCKET="$PREFIX/run/tempesal/php.sock"
SETTINGS="$ETC/settings.env"
USER_NAME=tempesal

main() {
  if [ -z "$PREFIX" ]; then
    [ "$(id -u)" -eq 0 ] || fail "Run this as root."
    install_packages
    id "$USER_NAME" >/dev/null 2>&1 || useradd --system --home-dir "$STATE" --shell /usr/sbin/nologin "$USER_NAME"
  fi
  make_folders
  write_settings
  make_certificate
  if [ -z "$PREFIX" ]; then
    ensure_dependencies
    ensure_built
    # It writes beside the code, where the service may not.
    php artisan package:discover >>"$LOGS/install.log" 2>&1 || fail "The libraries were not found; see $LOGS/install.log."
    open_code
    make_tables
  fi
  render ops/install/php-fpm.conf "$ETC/php-fpm.conf"
  render ops/install/nginx.conf "$PREFIX/etc/nginx/sites-available/tempesal.conf"
  render ops/install/mariadb.cnf "$PREFIX/etc/mysql/mariadb.conf.d/60-tempesal.cnf"
  local unit
  for unit in tempesal-fpm.service tempesal-backup.service tempesal-backup.timer; do
    render "ops/install/$unit" "$PREFIX/etc/systemd/system/$unit"
  done
  [ -n "$PREFIX" ] || begin_service
  say "Tempesal is set up for https://$HOST. Trust http://$HOST/authority.crt once on each tablet, and nothing is warned about."
  say "ops/doctor.sh looks whether all of it works."
}

# Whether it runs this machine, well or with something else in trouble.
has_systemd() { [ -d /run/systemd/system ]; }

install_packages() {
  local missing=()
  local package
  for package in nginx php-fpm mariadb-server openssl libnginx-mod-http-brotli-static; do
    dpkg -s "$package" >/dev/null 2>&1 || missing+=("$package")
  done
  ensure_packages run
  if [ ${#missing[@]} -gt 0 ]; then
    say "Installing Debian packages: ${missing[*]}"
    update_lists && DEBIAN_FRONTEND=noninteractive apt-get -o "DPkg::Lock::Timeout=$LOCK_WAIT_S" install -y -qq "${missing[@]}" >/dev/null
  fi
}

make_folders() {
  mkdir -p "$STATE"/{photos,outbox,uploads,sessions,cache,tmp} "$STATE"/storage/{logs,app,framework/{views,cache/data,sessions}} \
    "$LOGS" "$BACKUPS" "$TLS" "$(dirname "$SOCKET")" \
    "$PREFIX"/etc/{nginx/sites-available,nginx/sites-enabled,systemd/system,mysql/mariadb.conf.d}
  if [ -z "$PREFIX" ]; then
    chown -R "$USER_NAME:" "$STATE" "$LOGS"
    chmod 700 "$STATE" "$BACKUPS"
    chmod 750 "$LOGS"
  fi
}

# The code, its libraries and the built screens belong to root and can be read by the service: it changes nothing of them.
open_code() {
  chmod u=rwx,go=rx "$ROOT"
  chmod -R u=rwX,go=rX "$ROOT"/{app,bootstrap,config,contract,core,database,messages,ops,public,routes,vendor,artisan}
}

# Made once. Values are in quotes as a .env file has them; passwords here are of letters and digits.
write_settings() {
  [ ! -f "$SETTINGS" ] || return 0
  local key password
  key=$(head -c32 /dev/urandom | base64)
  password=$(head -c24 /dev/urandom | base64 | tr -d '/+=')
  (
    umask 027
    cat >"$SETTINGS" <<TEXT
# The settings of this installation; see README. After a change: php artisan config:cache, and reload tempesal-fpm.
APP_ENV=production
APP_KEY="base64:$key"
APP_URL="https://$HOST"
DB_HOST=127.0.0.1
DB_PORT=3306
DB_DATABASE=tempesal
DB_USERNAME=tempesal
DB_PASSWORD="$password"
SESSION_SECURE_COOKIE=true
TEMPESAL_STATE="$STATE"
TEMPESAL_LOGS="$LOGS"
TEMPESAL_BACKUPS="$BACKUPS"
TEMPESAL_PHOTOS="$STATE/photos"
TEMPESAL_OUTBOX="$STATE/outbox"
TEMPESAL_UPLOADS="$STATE/uploads"
TEMPESAL_SESSIONS="$STATE/sessions"
TEMPESAL_CACHE="$STATE/cache"
TEXT
  )
  [ -n "$PREFIX" ] || chown "root:$USER_NAME" "$SETTINGS"
}

# An authority of this home's own, and a certificate by it that is made anew when it ends within a month.
make_certificate() {
  (
    umask 077
    if [ ! -f "$TLS/authority.key" ]; then
      openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 -subj "/CN=Tempesal at $HOST" \
        -addext 'basicConstraints=critical,CA:TRUE,pathlen:0' -addext 'keyUsage=critical,keyCertSign,cRLSign' \
        -keyout "$TLS/authority.key" -out "$TLS/authority.crt" 2>/dev/null
    fi
    if ! openssl x509 -in "$TLS/server.crt" -noout -checkend 2592000 -checkhost "$HOST" 2>/dev/null | grep -q 'does match'; then
      openssl req -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj "/CN=$HOST" -keyout "$TLS/server.key" \
        -out "$TLS/server.csr" 2>/dev/null
      openssl x509 -req -in "$TLS/server.csr" -CA "$TLS/authority.crt" -CAkey "$TLS/authority.key" -CAcreateserial -days 397 \
        -extfile <(printf 'subjectAltName=%s\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\n' "$(names)") \
        -out "$TLS/server.crt" 2>/dev/null
    fi
  )
  chmod 755 "$ETC" "$TLS"
  chmod 644 "$TLS/authority.crt" "$TLS/server.crt"
}

# The name, and the addresses of this machine, by which a tablet may come too.
names() {
  local one all="DNS:$HOST"
  for one in 127.0.0.1 $(hostname -I 2>/dev/null); do all="$all,IP:$one"; done
  printf '%s' "$all"
}

make_tables() {
  if has_systemd; then
    systemctl enable --now mariadb
  elif ! mariadb-admin ping >/dev/null 2>&1; then
    service mariadb start >/dev/null || fail "MariaDB could not be started; see its log."
  fi
  local password
  password=$(sed -n 's/^DB_PASSWORD="\(.*\)"$/\1/p' "$SETTINGS")
  mariadb <<<"CREATE DATABASE IF NOT EXISTS tempesal CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
    CREATE USER IF NOT EXISTS 'tempesal'@'127.0.0.1' IDENTIFIED BY '$password';
    ALTER USER 'tempesal'@'127.0.0.1' IDENTIFIED BY '$password';
    GRANT ALL ON \`tempesal%\`.* TO 'tempesal'@'127.0.0.1';"
  as_service artisan migrate --force --no-interaction
  as_service artisan tempesal:restock
  local what
  for what in config route; do
    APP_CONFIG_CACHE="$STATE/settings.php" APP_ROUTES_CACHE="$STATE/addresses.php" as_service artisan "$what:cache"
  done
}

as_service() {
  TEMPESAL_SETTINGS=$SETTINGS LARAVEL_STORAGE_PATH="$STATE/storage" runuser -u "$USER_NAME" -- php "$@" >>"$LOGS/install.log" 2>&1 \
    || fail "php $* did not work; see $LOGS/install.log."
}

render() { # template, file
  local brotli='' listen='' user=''
  # Only where nginx knows how.
  if [ -n "${TEMPESAL_BROTLI:-}" ] || dpkg -s libnginx-mod-http-brotli-static >/dev/null 2>&1; then
    brotli='        brotli_static on;'
  fi
  if [ -z "$PREFIX" ]; then
    user="user = $USER_NAME"$'\n'"group = $USER_NAME"
    listen='listen.owner = www-data'$'\n''listen.group = www-data'$'\n''listen.mode = 0660'
  fi
  # What is in quotes below is PHP's.
  # shellcheck disable=SC2016
  BROTLI=$brotli LISTEN=$listen POOL_USER=$user ROOT=$ROOT STATE=$STATE LOGS=$LOGS BACKUPS=$BACKUPS TLS=$TLS SOCKET=$SOCKET \
    SETTINGS=$SETTINGS HOST=$HOST HTTP_PORT=$HTTP_PORT HTTPS_PORT=$HTTPS_PORT CHILDREN=$CHILDREN FPM=$(fpm) \
    php -r 'echo preg_replace_callback("/@([A-Z_]+)@/", fn($m) => match ($m[1]) {
        "USER" => getenv("POOL_USER"),
        "HTTPS_SUFFIX" => getenv("HTTPS_PORT") === "443" ? "" : ":" . getenv("HTTPS_PORT"),
        default => getenv($m[1]) === false ? $m[0] : getenv($m[1]),
    }, file_get_contents($argv[1]));' "$1" >"$2"
}

fpm() { command -v php-fpm || compgen -c php-fpm | sort -V | tail -n 1 | xargs -r which || printf '/usr/sbin/php-fpm'; }

begin_service() {
  ln -sf /etc/nginx/sites-available/tempesal.conf /etc/nginx/sites-enabled/tempesal.conf
  nginx -t 2>>"$LOGS/install.log" || fail "nginx does not accept its configuration; see $LOGS/install.log."
  if has_systemd; then
    systemctl daemon-reload
    systemctl enable --now tempesal-fpm.service tempesal-backup.timer nginx
    systemctl restart tempesal-fpm.service
    systemctl reload nginx
  else
    say "This machine has no systemd: start php-fpm with $ETC/php-fpm.conf, MariaDB and nginx yourself, now and after each start."
  fi
}

main
