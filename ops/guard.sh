#!/usr/bin/env bash
# Waits for the end of a start, and ends the servers that it could not end itself.
set -uo pipefail

cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
PRIVATE=$2
# shellcheck source=ops/processes.sh
. ops/processes.sh

while [ "$(running_process start)" = "$1" ]; do sleep 1; done
# A start that ends well does it by itself; a new one has put its own name there by then.
if ! running_process start >/dev/null; then
  end_servers
fi
