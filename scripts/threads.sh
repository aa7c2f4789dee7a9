#!/bin/sh
# Bundles the threads that solve beside the server. HiGHS stays a package of its own: its WebAssembly lies beside it.
set -eu
cd "$(dirname "$0")/.."
node_modules/.bin/esbuild src/workers/make-up/thread.ts --bundle --platform=node --format=esm --target=node20 \
  --external:highs --outfile=.workers/make-up.mjs --log-level=warning
