#!/usr/bin/env bash
# Every check, in the order in which they are cheap. Goes on after a failure, and fails at the end.
set -uo pipefail

failed=()
check() { # name, command ...
  local name=$1
  shift
  printf '\n== %s\n' "$name"
  "$@" || failed+=("$name")
}

check 'PHP formatting' vendor/bin/pint --test
check 'Analysis of the core' vendor/bin/phpstan analyse --no-progress --memory-limit=1G
check 'Analysis of the application' vendor/bin/phpstan analyse -c phpstan-app.neon --no-progress --memory-limit=1G
check 'Formatting of the screens' npm run --silent format:check
check 'Lint of the screens' npm run --silent lint
check 'Types of the screens' npm run --silent types
check 'Pest' vendor/bin/pest --colors=never
check 'Playwright' npm run --silent browser

if [ "${#failed[@]}" -gt 0 ]; then
  printf '\nFailed: %s\n' "$(printf '%s; ' "${failed[@]}")" >&2
  exit 1
fi
