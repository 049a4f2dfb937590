#!/usr/bin/env bash
# npm start: everything from a bare Debian machine with Node to a served Gravelwort.
set -euo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; STEPS=6; FRESH=no; DEV=no
for arg in "$@"; do
  case $arg in
    --fresh) FRESH=yes ;;
    --dev) DEV=yes ;;
    *) echo "Unknown option $arg. Known: --fresh (make the demo anew), --dev (development server)." >&2; exit 2 ;;
  esac
done
STATE="$ROOT/.gravelwort"; mkdir -p "$STATE" 2>/dev/null || { echo "Gravelwort cannot go on: this folder cannot be written." >&2; exit 1; }
. scripts/lib.sh
PORT=${PORT:-4680}
case $PORT in ''|*[!0-9]*) die "PORT must be a number, not “$PORT”." ;; esac
EXTERNAL=${DATABASE_URL:-}
[ "$FRESH" = yes ] && [ -n "$EXTERNAL" ] && die "--fresh deletes data and is refused while DATABASE_URL points to a server of yours."
port_free "$PORT" || die "port $PORT is in use (perhaps Gravelwort already runs at http://127.0.0.1:$PORT). Set PORT to another number."
exec 9>"$STATE/lock"; flock -n 9 || die "another start is under way in this folder."

SERVER=; INSTRUMENTS=; HOME_DIR=; DOWN=no
shut() {
  [ "$DOWN" = yes ] && return; DOWN=yes
  trap '' INT TERM HUP
  trap - ERR; set +e
  if [ -n "$SERVER" ]; then kill -TERM "$SERVER" 2>/dev/null; wait "$SERVER" 2>/dev/null; fi
  if [ -n "$INSTRUMENTS" ]; then kill -TERM "$INSTRUMENTS" 2>/dev/null; wait "$INSTRUMENTS" 2>/dev/null; fi
  if [ -n "$HOME_DIR" ]; then cluster_down "$HOME_DIR"; fi
  return 0
}
trap shut EXIT
trap 'shut; exit 130' INT
trap 'shut; exit 143' TERM
trap 'shut; exit 129' HUP

step "Checking the machine"
ensure_disk 600
[ -n "$EXTERNAL" ] || ensure_postgres
step "npm packages"
ensure_packages
step "Database"
if [ -n "$EXTERNAL" ]; then
  OWNER_URL=$EXTERNAL; APP_URL=$EXTERNAL
else
  HOME_DIR=$(cluster_home "$STATE/db" "$(printf %s "$ROOT" | sha256sum | cut -c1-12)")
  if [ "$FRESH" = yes ] && [ -d "$HOME_DIR/data" ]; then
    [ -f "$HOME_DIR/.gravelwort-cluster" ] || die "$HOME_DIR was not made by Gravelwort; it is not deleted."
    stop_postmaster "$HOME_DIR/data"; rm -rf "${HOME_DIR:?}/data" "$HOME_DIR/ready"
  fi
  cluster_up "$HOME_DIR" 9>&-
fi
step "Tables and demo data"
OWNER_DATABASE_URL="$OWNER_URL" DUMP_DIR="$STATE/dumps" node_modules/.bin/tsx scripts/migrate.ts || die "the tables could not be brought up to date."
step "Build"
if [ "$DEV" = yes ]; then mkdir -p .next; node scripts/bundle-worker.mjs .next >"$STATE/build.log" 2>&1; else ensure_build .next; fi
export GRAVELWORT_WORKER="$ROOT/.next/predict-worker.cjs"
APP_DATABASE_URL="$APP_URL" node_modules/.bin/tsx demo/load.ts || die "the demo could not be loaded."
export GRAVELWORT_INSTRUMENTS="$STATE/instruments.json"; rm -f "$GRAVELWORT_INSTRUMENTS"
node_modules/.bin/tsx instruments/serve.ts "$GRAVELWORT_INSTRUMENTS" 9>&- & INSTRUMENTS=$!
for _ in $(seq 100); do [ -s "$GRAVELWORT_INSTRUMENTS" ] && break; sleep 0.1; done
step "Serving at http://127.0.0.1:$PORT (Ctrl-C stops it and the database)"
export APP_DATABASE_URL="$APP_URL" GRAVELWORT_DIST=.next GRAVELWORT_PORT="$PORT" NEXT_TELEMETRY_DISABLED=1
if [ "$DEV" = yes ]; then
  node node_modules/next/dist/bin/next dev -H 127.0.0.1 -p "$PORT" 9>&- &
else
  NODE_ENV=production node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$PORT" 9>&- &
fi
SERVER=$!
wait "$SERVER"
