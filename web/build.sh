#!/usr/bin/env bash
# Builds or tests the page with the machine's own npm. Packages are installed only when the lock file has changed.
set -euo pipefail
cd "$(dirname "$0")"
stamp=node_modules/.lexicor-lock
if ! cmp -s package-lock.json "$stamp"; then
  npm ci --no-audit --no-fund --loglevel=error
  cp package-lock.json "$stamp"
fi
case "${1:-page}" in
  page) npm run --silent build ;;
  tests) npm run --silent lint && npm run --silent test ;;
  format) npm run --silent format ;;
  *) echo "usage: build.sh page|tests|format" >&2; exit 2 ;;
esac
