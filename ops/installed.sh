#!/usr/bin/env bash
# Backup, restore and check of an installation that ops/install.sh has set up; the folders are those of its settings.
#   ops/installed.sh backup FILE | restore FILE | check
#   ops/installed.sh nightly      a backup into the folder of backups, of which the last fourteen are kept
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
CALLED_FROM=$PWD
cd "$ROOT"
# shellcheck source=ops/say.sh
. ops/say.sh
# shellcheck source=ops/database.sh
. ops/database.sh
# shellcheck source=ops/processes.sh
. ops/processes.sh
# shellcheck source=ops/backup.sh
. ops/backup.sh

export TEMPESAL_SETTINGS=${TEMPESAL_SETTINGS:-/etc/tempesal/settings.env}
[ -r "$TEMPESAL_SETTINGS" ] || fail "There are no settings in $TEMPESAL_SETTINGS; run ops/install.sh first, and this as root."
KEPT_BACKUPS=14

setting() { sed -n "s/^$1=\"\{0,1\}\([^\"]*\)\"\{0,1\}$/\1/p" "$TEMPESAL_SETTINGS" | tail -n 1; }

PRIVATE=$(setting TEMPESAL_STATE)
export TEMPESAL_PHOTOS="$PRIVATE/photos" LARAVEL_STORAGE_PATH="$PRIVATE/storage"
DB_DATABASE=$(setting DB_DATABASE)
DB_PASSWORD=$(setting DB_PASSWORD)
export DB_DATABASE DB_PASSWORD
SOCKET=${TEMPESAL_DATABASE_SOCKET:-/run/mysqld/mysqld.sock}
SECRETS=$TEMPESAL_SETTINGS
LOG="$(setting TEMPESAL_LOGS)/operations.log"
umask 077

# As the service does, whose file it is. A folder that was laid out to be looked at has no such user.
read_settings() {
  local as=()
  ! id tempesal >/dev/null 2>&1 || [ "$(stat -c %U "$PRIVATE")" != tempesal ] || as=(runuser -u tempesal --)
  "${as[@]}" env APP_CONFIG_CACHE="$PRIVATE/settings.php" php artisan config:cache >>"$LOG" 2>&1 \
    || fail "The settings could not be read; see $LOG."
}

# The machine's own database, which others look after.
with_database() { as_admin -e 'SELECT 1' >/dev/null || fail "The database does not answer at $SOCKET."; }

case "${1:-}" in
  backup) backup_installation "${2:?Say which file.}" ;;
  restore)
    restore_installation "${2:?Say which file.}"
    # The key that came with it is in the settings; what was read of them before is of no use any more.
    read_settings
    [ ! -d /run/systemd/system ] || systemctl try-reload-or-restart tempesal-fpm.service
    ;;
  check)
    with_database
    php artisan tempesal:check
    ;;
  nightly)
    backups=$(setting TEMPESAL_BACKUPS)
    backup_installation "$backups/tempesal-$(date -u +%Y-%m-%d-%H%M).tar.gz"
    find "$backups" -maxdepth 1 -name 'tempesal-*.tar.gz' -printf '%T@ %p\n' | sort -rn \
      | tail -n "+$((KEPT_BACKUPS + 1))" | cut -d' ' -f2- | xargs -r rm -f
    ;;
  *) fail_usage "Say what: backup FILE, restore FILE, check or nightly." ;;
esac
