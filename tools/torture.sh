#!/usr/bin/env bash
# The slow proofs: what a browser can do to a kitchen, any run that can be kept, files and lines that something happened to.
# Usage: npm run torture [kills]. Needs the built app.
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
status=0
node_modules/.bin/tsx tools/torture.ts "${1:-200}" || status=1
ANY_RUNS="${ANY_RUNS:-10000}" ANY_DAYS="${ANY_DAYS:-5000}" FILES="${FILES:-10000}" LINES="${LINES:-40000}" DRAWS="${DRAWS:-20000}" \
  node_modules/.bin/jest core/plan/anyRun core/schedule/chores/anyDay core/exchange/hostile core/agree --testTimeout=3600000 || status=1
exit $status
