#!/bin/sh
# Builds, unless nothing that goes into the build has changed since the last time.
set -eu
cd "$(dirname "$0")/.."
export NEXT_TELEMETRY_DISABLED=1
want=$(find src next.config.ts postcss.config.mjs package-lock.json tsconfig.json -type f ! -name '*.test.ts' -exec cksum {} + | sort | cksum)
if [ ! -f .next/BUILD_ID ] || [ "$(cat .next/evarn-built 2>/dev/null)" != "$want" ]; then
  node node_modules/next/dist/bin/next build
  printf '%s' "$want" >.next/evarn-built
fi
