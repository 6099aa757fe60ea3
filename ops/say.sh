# shellcheck shell=bash
# How the command speaks.

say() { printf '%s\n' "$*"; }

fail() {
  printf '%s\n' "$*" >&2
  exit 1
}

# The command was called wrongly.
fail_usage() {
  printf '%s\n' "$*" >&2
  exit 2
}

# A hash of what some files say, to know whether anything changed since the last time.
fingerprint() { find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-16; }

# Whether a mark from the last run still says the same.
unchanged() { [ -f "storage/tempesal/$1" ] && [ "$(cat "storage/tempesal/$1")" = "$2" ]; }

mark() {
  mkdir -p storage/tempesal
  printf '%s' "$2" >"storage/tempesal/$1"
}
