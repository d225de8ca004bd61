#!/bin/sh
# Builds the page into dist/, with the packages installed only when the lock file has changed.
set -eu
cd "$(dirname "$0")/.."
stamp=node_modules/.installed
if [ ! -f "$stamp" ] || ! cmp -s package-lock.json "$stamp"; then
  # Not "npm ci": it refuses a lock file in which another platform's optional builds are left out.
  npm install --no-save --no-audit --no-fund --loglevel=error
  cp package-lock.json "$stamp"
fi
npm run --silent build
