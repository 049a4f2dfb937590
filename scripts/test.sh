#!/usr/bin/env bash
# npm test: own set-up, own throw-away cluster, every check, one closing line. --e2e-only skips the static checks and unit tests.
set -uo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; STEPS=9; ONLY_E2E=no; [ "${1:-}" = --e2e-only ] && { ONLY_E2E=yes; shift; }
STATE="$ROOT/.gravelwort-test"; mkdir -p "$STATE"
. scripts/lib.sh
trap - ERR
# Settings of the caller's own database must not reach the tests.
unset DATABASE_URL APP_DATABASE_URL OWNER_DATABASE_URL
for name in $(compgen -e PG); do unset "$name"; done
export NEXT_TELEMETRY_DISABLED=1 GRAVELWORT_DIST=.next-test

PASSED=0; FAILED=0; HOME_DIR=; CHILD=
tidy() {
  trap '' INT TERM HUP
  [ -n "$CHILD" ] && kill -TERM "$CHILD" 2>/dev/null && wait "$CHILD" 2>/dev/null
  [ -n "$HOME_DIR" ] && { cluster_down "$HOME_DIR"; rm -rf "${HOME_DIR:?}"; }
  return 0
}
trap tidy EXIT
trap 'exit 130' INT
trap 'exit 143' TERM HUP

# check NAME COMMAND...: one passed or failed check; its output is shown when it fails.
check() {
  local name=$1; shift
  if "$@" >"$STATE/check.log" 2>&1; then PASSED=$((PASSED + 1)); say "      ok: $name"
  else FAILED=$((FAILED + 1)); say "      FAILED: $name"; cat "$STATE/check.log"; fi
}
# count FILE: adds the two numbers a reporter left there; none left means the run itself failed.
count() {
  local good bad
  if read -r good bad 2>/dev/null <"$1" && [ -n "$bad" ]; then PASSED=$((PASSED + good)); FAILED=$((FAILED + bad)); return; fi
  FAILED=$((FAILED + 1)); say "      FAILED: the run ended without a result"
}
# run COMMAND...: in the background, so that an interrupt reaches it and tidy can end it.
run() { "$@" & CHILD=$!; wait "$CHILD"; local code=$?; CHILD=; return $code; }

step "Checking the machine"
ensure_disk 900
ensure_postgres
ensure_chromium
ensure_pooler
step "npm packages"
ensure_packages
if [ "$ONLY_E2E" = no ]; then
  step "Types"
  node node_modules/next/dist/bin/next typegen >"$STATE/typegen.log" 2>&1 || cat "$STATE/typegen.log"
  check "type check" node node_modules/typescript/bin/tsc --noEmit
  step "Lint, layers, format"
  check "lint" node node_modules/eslint/bin/eslint.js . --max-warnings 0
  check "layers" node_modules/.bin/depcruise --config .dependency-cruiser.cjs src demo scripts instruments
  check "format" node_modules/.bin/prettier --check .
  step "Unit, property and reference tests"
  rm -f "$STATE/unit.count"
  COUNT_FILE="$STATE/unit.count" NODE_OPTIONS=--experimental-vm-modules NODE_NO_WARNINGS=1 \
    run node node_modules/jest/bin/jest.js --ci --reporters=default --reporters=./scripts/count-jest.cjs || true
  count "$STATE/unit.count"
else STEP=5; fi
step "Production build"
rm -f .next-test/gravelwort-hash.tmp
(ensure_build .next-test) || { say "$PASSED passed, $((FAILED + 1)) failed"; exit 1; }
step "Throw-away database with the demo"
HOME_DIR=$(cluster_home "$STATE/db-$$" "$(printf %s "$ROOT" | sha256sum | cut -c1-12)-test-$$") || exit 1
# Its files need not outlive the machine; a killed server loses nothing of what was written either way.
PG_EXTRA="-c fsync=off -c full_page_writes=off" cluster_up "$HOME_DIR"
# A piece that a killed worker held is given to another one soon, and a word that nobody heard is said again soon.
export GRAVELWORT_QUEUE_HELD=15 GRAVELWORT_HOOKS_AGAIN=2
export OWNER_DATABASE_URL="$OWNER_URL" APP_DATABASE_URL="$APP_URL" GRAVELWORT_WORKER="$ROOT/.next-test/predict-worker.cjs" GRAVELWORT_CLUSTER="$HOME_DIR"
ensure_secret
check "migrations" node_modules/.bin/tsx scripts/migrate.ts
check "demo data" node_modules/.bin/tsx demo/load.ts
step "End-to-end tests in Chromium"
rm -f "$STATE/e2e.count"
COUNT_FILE="$STATE/e2e.count" run node node_modules/@playwright/test/cli.js test "$@" || true
count "$STATE/e2e.count"
step "Nothing left behind"
tidy; HOME_DIR=
if command -v git >/dev/null && [ -d .git ] && [ -n "${CI:-}" ]; then check "no changed file" bash -c 'git status --porcelain | tee /dev/stderr | (! grep -q .)'; fi
say "$PASSED passed, $FAILED failed"
[ "$FAILED" -eq 0 ] && [ "$PASSED" -gt 0 ]
