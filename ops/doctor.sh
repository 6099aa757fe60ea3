#!/usr/bin/env bash
# Looks whether an installation works, from outside as a tablet does and from inside. Ends non-zero where something is wrong.
#   ops/doctor.sh [https://NAME]
set -uo pipefail

SETTINGS=${TEMPESAL_SETTINGS:-/etc/tempesal/settings.env}
setting() { sed -n "s/^$1=\"\{0,1\}\([^\"]*\)\"\{0,1\}$/\1/p" "$SETTINGS" 2>/dev/null | tail -n 1; }
URL=${1:-$(setting APP_URL)}
AUTHORITY="$(dirname "$SETTINGS")/tls/authority.crt"
wrong=0

look() { # what, command ...
  local what=$1
  shift
  if "$@" >/dev/null 2>&1; then
    printf 'well   %s\n' "$what"
  else
    printf 'WRONG  %s\n' "$what"
    wrong=$((wrong + 1))
  fi
}
ask() { curl -s --max-time 10 --cacert "$AUTHORITY" "$@"; }
says() { ask -D - -o /dev/null "$1" | tr -d '\r' | grep -qi "$2"; }
asset() { ask "$URL/today" | grep -o '/build/assets/[^"]*\.js' | head -n 1; }
is_packed() { ask -H "Accept-Encoding: $1" -D - -o /dev/null "$URL$(asset)" | grep -qi "^content-encoding: $1"; }
is_hidden() { [ "$(ask -o /dev/null -w '%{http_code}' "$URL$1")" = 404 ]; }
is_private() { [ "$(stat -c %a "$1" 2>/dev/null)" = "$2" ]; }
has_backup() { [ -n "$(find "$(setting TEMPESAL_BACKUPS)" -name 'tempesal-*.tar.gz' -mtime -2 2>/dev/null)" ]; }
has_room() { [ "$(df --output=avail -k "$(setting TEMPESAL_STATE)" | tail -n 1)" -gt 500000 ]; }

look "the settings can be read" test -r "$SETTINGS"
look "nobody else can read the settings" is_private "$SETTINGS" 640
look "photos and sessions are closed to others" is_private "$(setting TEMPESAL_STATE)" 700
look "the certificate is by the authority of this home, and valid for a week at least" \
  openssl x509 -in "$(dirname "$AUTHORITY")/server.crt" -noout -checkend 604800
look "$URL answers, and so does its database" ask -f "$URL/health"
look "browsers are told to come by https alone" says "$URL/api/session" '^strict-transport-security:'
look "no answer can be framed or guessed at" says "$URL/api/session" '^x-content-type-options: nosniff'
look "what PHP it is, is told to nobody" bash -c '! "$@"' _ says "$URL/api/session" '^x-powered-by:'
look "scripts come packed (gzip)" is_packed gzip
look "scripts come packed (brotli)" is_packed br
look "scripts are kept by browsers" says "$URL$(asset)" '^cache-control:.*immutable'
look "nothing but the public folder is handed out" is_hidden /.git/config
look "no PHP is handed out" is_hidden /index.php
look "there is room on the disk" has_room
look "there is a backup of the last two days" has_backup

[ "$wrong" -eq 0 ] && printf 'Everything is well.\n' || printf '%s wrong.\n' "$wrong"
[ "$wrong" -eq 0 ]
