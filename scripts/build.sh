#!/bin/sh
# Builds, unless nothing that goes into the build has changed since the last time. The threads that solve beside the
# server are bundled apart, since a thread is started from a file.
set -eu
cd "$(dirname "$0")/.."
export NEXT_TELEMETRY_DISABLED=1
want=$(find src scripts/threads.sh next.config.ts postcss.config.mjs package-lock.json tsconfig.json -type f ! -name '*.test.ts' -exec cksum {} + | sort | cksum)
if [ ! -f .next/BUILD_ID ] || [ ! -f .workers/sourcing.mjs ] || [ "$(cat .next/evarn-built 2>/dev/null)" != "$want" ]; then
  sh scripts/threads.sh
  node node_modules/next/dist/bin/next build
  printf '%s' "$want" >.next/evarn-built
fi
