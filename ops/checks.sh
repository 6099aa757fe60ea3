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

# What takes one core each is done side by side, and each is told when it is done.
side_by_side() { # name and script of the screens, ...
  local said names=() tasks=() at
  said=$(mktemp -d)
  while [ "$#" -gt 0 ]; do
    npm run --silent "$2" >"$said/${#names[@]}" 2>&1 &
    names+=("$1")
    tasks+=($!)
    shift 2
  done
  for at in "${!names[@]}"; do
    wait "${tasks[at]}" || failed+=("${names[at]}")
    printf '\n== %s\n' "${names[at]}"
    cat "$said/$at"
  done
  rm -r "$said"
}

# On both cores, each with a database of its own; several processes colour their lines whatever one says.
pest() {
  vendor/bin/pest --parallel --processes=2 --compact --colors=never | sed -u 's/\x1b\[[0-9;]*[A-Za-z]//g'
}

# What is known against the libraries is said, and fails nothing: without a network nothing is known.
audit() {
  COMPOSER_ALLOW_SUPERUSER=1 timeout 60 composer audit --no-interaction 2>&1 || printf 'Reported only; see above.\n'
}

check 'Shell scripts' shellcheck -x tempesal .ci/run ops/*.sh
check 'Analysis of the core' vendor/bin/phpstan analyse --no-progress --memory-limit=1G
check 'Analysis of the application' vendor/bin/phpstan analyse -c phpstan-app.neon --no-progress --memory-limit=1G
side_by_side Formatting format:check 'Lint of the screens' lint 'Types of the screens' types
check 'Vitest' npm run --silent screens
check 'Known weaknesses of the libraries' audit
check 'Pest' pest
check 'Playwright' npm run --silent browser

if [ "${#failed[@]}" -gt 0 ]; then
  printf '\nFailed: %s\n' "$(printf '%s; ' "${failed[@]}")" >&2
  exit 1
fi
