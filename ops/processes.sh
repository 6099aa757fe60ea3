# shellcheck shell=bash
# The processes of one start: written down in its folder, watched while it runs, and all ended with it.

DATABASE_PID=
WEB_PID=

# A process is known by its number and the moment it began; numbers come back, both together do not. One that has ended
# and that its parent has not asked about yet has no moment.
began() { # process
  local stat
  { read -r stat <"/proc/$1/stat"; } 2>/dev/null || return 1
  # The name in it may hold blanks; what follows the last bracket does not.
  # shellcheck disable=SC2086
  set -- ${stat##*) }
  [ "$1" != Z ] && printf '%s' "${20}"
}

note_process() { # name, process
  printf '%s %s' "$2" "$(began "$2")" >"$PRIVATE/$1.process"
}

# The number of a process of this folder that still runs; fails where it does not.
running_process() { # name
  local process moment
  { read -r process moment || [ -n "$moment" ]; } 2>/dev/null <"$PRIVATE/$1.process" || return 1
  [ "$(began "$process")" = "$moment" ] || return 1
  printf '%s' "$process"
}

# One start for each folder of data. What an earlier one left running is ended first.
claim_state() {
  local other
  exec 8>"$PRIVATE/lock"
  flock 8
  if other=$(running_process start) && [ "$other" != "$$" ]; then
    fail "Tempesal already runs with this data: $(cat "$PRIVATE/address" 2>/dev/null || echo "it is starting") (process $other).
End it with ./tempesal stop, or give this start a folder of its own: TEMPESAL_STATE=FOLDER."
  fi
  note_process start "$$"
  exec 8>&-
  end_servers
  trap stop_what_we_started EXIT
  # Where this command is killed without a chance to end what it started, the guard does it.
  setsid bash ops/guard.sh "$$" "$PRIVATE" >/dev/null 2>&1 </dev/null &
}

# Ends the servers that are written down here, each when its work is done, or after half a minute.
end_servers() {
  local name process
  for name in web database; do
    if process=$(running_process "$name"); then
      end_process "$process"
    fi
    rm -f "$PRIVATE/$name.process"
  done
}

end_process() { # process, which leads a group
  local tries=0
  kill -TERM -- "-$1" 2>/dev/null || true
  while pgrep -g "$1" >/dev/null; do
    tries=$((tries + 1))
    [ "$tries" -lt 300 ] || kill -KILL -- "-$1" 2>/dev/null || true
    sleep 0.1
  done
}

# Another start's servers are not ours to end.
stop_what_we_started() {
  trap - EXIT
  if [ "$(running_process start)" = "$$" ]; then
    end_servers
    rm -f "$PRIVATE/start.process" "$PRIVATE/address"
  fi
}

# Ends the start that runs with this data, whoever began it, and its servers.
stop_running() {
  local start tries=0 found=
  if start=$(running_process start); then
    found=1
    kill -TERM "$start" 2>/dev/null || true
    while running_process start >/dev/null && [ "$tries" -lt 200 ]; do
      tries=$((tries + 1))
      sleep 0.1
    done
  fi
  if running_process web >/dev/null || running_process database >/dev/null; then
    found=1
  fi
  end_servers
  rm -f "$PRIVATE/start.process"
  if [ -n "$found" ]; then say "Stopped Tempesal."; else say "Tempesal is not running."; fi
}

# Looks every second whether both servers run, and starts again the one that does not.
keep_running() { # purpose
  local failures=0
  while sleep 1; do
    shorten_log
    if [ -e "$PRIVATE/restart" ]; then
      rm -f "$PRIVATE/restart"
      report "Starting the web server with the restored data."
      end_process "$WEB_PID"
      set -a
      # shellcheck disable=SC1090
      . "$SECRETS"
      set +a
      read_settings
      launch_web
      await_web || failures=$((failures + 1))
    fi
    if ! kill -0 "$DATABASE_PID" 2>/dev/null; then
      report "The database stopped. Starting it again."
      launch_database "$1"
      if await_database; then report "The database is back."; else failures=$((failures + 1)); fi
    elif [ "$(pgrep -g "$WEB_PID" | wc -l)" -le "$WEB_WORKERS" ]; then
      report "The web server stopped. Starting it again."
      end_process "$WEB_PID"
      launch_web
      if await_web; then report "The web server is back."; else failures=$((failures + 1)); fi
    else
      failures=0
      continue
    fi
    if [ "$failures" -gt 0 ]; then
      # Longer after each, at most a minute: what is broken for good should not fill the disk with tries.
      report "That did not work; see $LOG. Trying again."
      sleep "$((failures < 12 ? failures * 5 : 60))"
    fi
  done
}

# What the servers say is kept up to a size, and once more as it was before.
shorten_log() {
  if [ "$(stat -c %s "$LOG")" -gt 4000000 ]; then
    cp "$LOG" "$LOG.1"
    : >"$LOG"
  fi
}

report() { say "$(date +%H:%M:%S)  $*"; }
