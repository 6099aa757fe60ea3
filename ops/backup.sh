# shellcheck shell=bash
# The whole installation as one file, and back: the database as it was at one moment, the photos, and the secrets without which
# what is encrypted in it cannot be read.

BACKUP_VERSION=1

# The database that runs, or one that is started for as long as this takes.
with_database() {
  if database_answers; then
    DB_PORT=$(as_admin -BN -e 'SELECT @@port')
    export DB_PORT DB_DATABASE=tempesal
  else
    claim_state
    start_database main tempesal
  fi
}

backup_installation() { # file
  local file=$1
  [[ $file == /* ]] || file="$CALLED_FROM/$file"
  [ -d "$(dirname "$file")" ] || fail_usage "There is no folder $(dirname "$file")."
  with_database
  WORK=$(mktemp -d "$PRIVATE/backup.XXXXXX")
  # A half-made file is never taken for a whole one.
  trap 'rm -rf "$WORK"; stop_what_we_started' EXIT
  say "Reading the photos."
  mkdir -p "$TEMPESAL_PHOTOS" "$WORK/photos"
  link_photos "$WORK/photos"
  say "Reading the database."
  mariadb-dump --no-defaults --socket="$SOCKET" --user="$(id -un)" --single-transaction --quick --skip-comments \
    --hex-blob --default-character-set=utf8mb4 "$DB_DATABASE" >"$WORK/database.sql" 2>>"$LOG" \
    || fail "The database could not be read; see $LOG."
  # Photos that came while it was read; none is ever written again under its name.
  link_photos "$WORK/photos"
  cp "$SECRETS" "$WORK/secrets"
  printf '{"tempesal":"installation","version":%s,"made":"%s"}\n' "$BACKUP_VERSION" "$(date -u +%Y-%m-%dT%H:%M:%SZ)" >"$WORK/manifest.json"
  (cd "$WORK" && sha256sum manifest.json database.sql secrets >sums)
  say "Writing $file."
  if ! { tar -C "$WORK" -czf "$file.part" manifest.json sums database.sql secrets photos && mv "$file.part" "$file"; }; then
    rm -f "$file.part"
    fail "$file could not be written."
  fi
  say "Backed up: $(du -h "$file" | cut -f1) in $file. It holds the secrets of this installation; keep it where only you can read it."
}

# By another name of the same file; where that cannot be, as a copy.
link_photos() { # folder
  cp -aln "$TEMPESAL_PHOTOS/." "$1" 2>/dev/null || cp -an "$TEMPESAL_PHOTOS/." "$1"
}

restore_installation() { # file
  local file=$1 was_running=
  [[ $file == /* ]] || file="$CALLED_FROM/$file"
  [ -r "$file" ] || fail_usage "$file cannot be read."
  running_process start >/dev/null && was_running=1
  WORK=$(mktemp -d "$PRIVATE/restore.XXXXXX")
  trap 'rm -rf "$WORK"' EXIT
  say "Reading $file."
  tar -C "$WORK" -xzf "$file" 2>>"$LOG" || fail "$file is not a backup of Tempesal, or it is damaged."
  grep -qs '"tempesal":"installation","version":1' "$WORK/manifest.json" \
    || fail "$file is not a backup of Tempesal that this version reads."
  (cd "$WORK" && sha256sum --check --quiet sums) >>"$LOG" 2>&1 || fail "$file is damaged; nothing was changed."
  with_database
  trap 'rm -rf "$WORK"; as_admin -e "DROP DATABASE IF EXISTS tempesal_restored" 2>/dev/null; stop_what_we_started' EXIT
  say "Reading the database of the backup, beside the one in use."
  as_admin -e 'DROP DATABASE IF EXISTS tempesal_restored'
  make_database tempesal_restored
  as_admin tempesal_restored <"$WORK/database.sql" 2>>"$LOG" \
    || fail "The database of the backup could not be read; nothing was changed. See $LOG."
  # With the key of the backup, for what is encrypted in it.
  try_restored "$WORK" migrate --force --no-interaction
  try_restored "$WORK" tempesal:check
  local kept
  kept="$PRIVATE/before-restore-$(date -u +%Y%m%d-%H%M%S)"
  say "Keeping what there was until now in $kept."
  mkdir -p "$kept"
  mariadb-dump --no-defaults --socket="$SOCKET" --user="$(id -un)" --single-transaction --quick --hex-blob \
    "$DB_DATABASE" >"$kept/database.sql" 2>>"$LOG" || fail "What there was could not be kept; nothing was changed."
  cp "$SECRETS" "$kept/secrets"
  exchange_databases
  [ ! -e "$TEMPESAL_PHOTOS" ] || mv "$TEMPESAL_PHOTOS" "$kept/photos"
  chown -R --reference="$PRIVATE" "$WORK/photos"
  mv "$WORK/photos" "$TEMPESAL_PHOTOS"
  take_app_key "$WORK/secrets"
  if [ -n "$was_running" ]; then
    # Whoever watches the servers sees it, and starts the web server with the other key.
    touch "$PRIVATE/restart"
  fi
  say "Restored. Everybody has to sign in again."
}

try_restored() { # folder, artisan command ...
  local folder=$1
  shift
  APP_KEY=$(sed -n 's/^APP_KEY=//p' "$folder/secrets") DB_DATABASE=tempesal_restored TEMPESAL_PHOTOS="$folder/photos" \
    php artisan "$@" >>"$LOG" 2>&1 || fail "What is in the backup does not hold together; nothing was changed. See $LOG."
}

# All tables at once: nobody sees half of the one and half of the other.
exchange_databases() {
  local renames
  as_admin -e 'DROP DATABASE IF EXISTS tempesal_replaced'
  make_database tempesal_replaced
  renames=$(as_admin -BN -e "
    SELECT GROUP_CONCAT(CONCAT('\`', table_schema, '\`.\`', table_name, '\` TO \`',
      IF(table_schema = '$DB_DATABASE', 'tempesal_replaced', '$DB_DATABASE'), '\`.\`', table_name, '\`')
      ORDER BY table_schema = '$DB_DATABASE' DESC SEPARATOR ', ')
    FROM information_schema.tables WHERE table_schema IN ('$DB_DATABASE', 'tempesal_restored')" \
    --init-command='SET SESSION group_concat_max_len = 1000000')
  as_admin -e "SET FOREIGN_KEY_CHECKS = 0; RENAME TABLE $renames" 2>>"$LOG" \
    || fail "The databases could not be exchanged; nothing was changed. See $LOG."
  as_admin -e 'DROP DATABASE tempesal_replaced; DROP DATABASE tempesal_restored'
}

# The key of the backup, and the database's password of here.
take_app_key() { # secrets
  local key
  key=$(grep '^APP_KEY=' "$1") || fail "The backup has no key."
  { printf '%s\n' "$key"; grep -v '^APP_KEY=' "$SECRETS"; } >"$SECRETS.new"
  # The service reads it, and root may have written it just now.
  chown --reference="$SECRETS" "$SECRETS.new"
  chmod --reference="$SECRETS" "$SECRETS.new"
  mv "$SECRETS.new" "$SECRETS"
  find "$PRIVATE/sessions" -mindepth 1 -delete
}
