#!/bin/sh
# All tests. Installs what they need first: the packages, and Debian's Chromium for the browser.
set -eu
cd "$(dirname "$0")/.."
sh scripts/setup.sh
if [ ! -x /usr/bin/chromium ]; then
  sudo=""
  if [ "$(id -u)" != 0 ]; then sudo=sudo; fi
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq chromium >/dev/null
fi
step() { printf '\n== %s\n' "$1"; }
# What only reads runs two at a time; what the second says is told when it is done.
aside=$(mktemp)
trap 'rm -f "$aside"' EXIT
(
  step 'types';   npm run -s types
  step 'imports'; npm run -s imports
  step 'unused';  npm run -s unused
) >"$aside" 2>&1 & second=$!
step 'format';  npm run -s format:check
step 'lint';    npm run -s lint
wait "$second" || { cat "$aside"; exit 1; }
cat "$aside"
step 'unit';    npm run -s unit
step 'build';   sh scripts/build.sh
step 'browser'; npm run -s e2e
echo
echo 'all tests passed'
