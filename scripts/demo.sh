#!/bin/sh
# Installs, builds, seeds and starts the demo on http://127.0.0.1:3717. With --reset its data begins anew.
set -eu
cd "$(dirname "$0")/.."
sh scripts/setup.sh
export EVARN_DATA="${EVARN_DEMO_DATA:-data/demo}"
if [ "${1:-}" = "--reset" ]; then rm -rf "$EVARN_DATA"; fi
sh scripts/build.sh
node_modules/.bin/tsx scripts/seed.ts
echo "Evarn's demo is on http://127.0.0.1:${PORT:-3717}"
exec node scripts/start.mjs "${PORT:-3717}"
