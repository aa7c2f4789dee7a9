#!/bin/sh
# Bundles the threads that work beside the server, each from src/workers/NAME/thread.ts to .workers/NAME.mjs. HiGHS and
# SQLite stay packages of their own: their WebAssembly and their compiled code lie beside them.
set -eu
cd "$(dirname "$0")/.."
for thread in src/workers/*/thread.ts; do
  name=$(basename "$(dirname "$thread")")
  node_modules/.bin/esbuild "$thread" --bundle --platform=node --format=esm --target=node20 \
    --external:highs --external:better-sqlite3 --alias:server-only=./src/data/testing/server-only.ts \
    "--banner:js=import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" \
    --outfile=".workers/$name.mjs" --log-level=warning
done
