#!/bin/sh
# Installs what is missing: the packages of the lock file, and nothing when they are there already.
set -eu
cd "$(dirname "$0")/.."
export NEXT_TELEMETRY_DISABLED=1 PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
stamp=node_modules/.evarn-installed
want=$(cksum <package-lock.json)
if [ ! -f "$stamp" ] || [ "$(cat "$stamp")" != "$want" ]; then
  # Node's own headers, where Debian's package has put them: better-sqlite3 is compiled against them.
  if [ -f /usr/include/node/node.h ]; then export npm_package_config_node_gyp_nodedir=/usr; fi
  # Two files at a time: the compiler is most of the wait.
  JOBS=max npm ci --no-audit --no-fund
  printf '%s' "$want" >"$stamp"
fi
