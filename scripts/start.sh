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
STATE=${GRAVELWORT_STATE:-$ROOT/.gravelwort}; DIST=${GRAVELWORT_DIST:-.next}; mkdir -p "$STATE" 2>/dev/null || { echo "Gravelwort cannot go on: this folder cannot be written." >&2; exit 1; }
. scripts/lib.sh
PORT=${PORT:-4680}
case $PORT in ''|*[!0-9]*) die "PORT must be a number, not “$PORT”." ;; esac
# With the demo anybody may sign in: it is served to this machine only.
DEMO=${GRAVELWORT_DEMO:-yes}; case $DEMO in yes|no) ;; *) die "GRAVELWORT_DEMO is yes or no, not “$DEMO”." ;; esac
export GRAVELWORT_HOST=${GRAVELWORT_HOST:-127.0.0.1} GRAVELWORT_TLS=no SCHEME=http
if [ -n "${GRAVELWORT_CERT:-}" ]; then
  [ -r "$GRAVELWORT_CERT" ] && [ -r "${GRAVELWORT_KEY:-}" ] || die "GRAVELWORT_CERT and GRAVELWORT_KEY must name two files that can be read."
  GRAVELWORT_TLS=yes; SCHEME=https
fi
[ "${GRAVELWORT_PROXY:-no}" = yes ] && GRAVELWORT_TLS=yes
case $GRAVELWORT_HOST in
  127.*|localhost|::1) ;;
  *) [ "$DEMO" = no ] || die "other machines may not reach the demo, in which everybody knows the passwords. Set GRAVELWORT_DEMO=no."
     [ "$GRAVELWORT_TLS" = yes ] || die "passwords do not go over a network in the clear. Set GRAVELWORT_CERT and GRAVELWORT_KEY, or GRAVELWORT_PROXY=yes behind a proxy of yours (docs/deploy.md)."
     [ -n "${GRAVELWORT_HOSTS:-}" ] || die "set GRAVELWORT_HOSTS to the names under which other machines reach this one." ;;
esac
EXTERNAL=${DATABASE_URL:-}
[ "$FRESH" = yes ] && [ -n "$EXTERNAL" ] && die "--fresh deletes data and is refused while DATABASE_URL points to a server of yours."
exec 9>"$STATE/lock"; flock -w 3 9 || die "another start is under way in this folder."
# Nobody holds the lock: what an earlier start left running when it was killed is of no use and in the way.
for left in server instruments worker; do end_left "$STATE/$left.pid"; done
port_free "$PORT" || die "port $PORT is in use by another program. Set PORT to another number."

SERVER=; INSTRUMENTS=; WORKER=; HOME_DIR=; DOWN=no
shut() {
  [ "$DOWN" = yes ] && return; DOWN=yes
  trap '' INT TERM HUP
  trap - ERR; set +e
  end_child "$SERVER"; end_child "$INSTRUMENTS"; end_child "$WORKER"
  rm -f "$STATE/server.pid" "$STATE/instruments.pid" "$STATE/worker.pid"
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
  HOME_DIR=$(cluster_home "$STATE/db" "$(printf %s "${GRAVELWORT_STATE:-$ROOT}" | sha256sum | cut -c1-12)")
  echo "$HOME_DIR" >"$STATE/database"
  if [ "$FRESH" = yes ] && [ -d "$HOME_DIR/data" ]; then
    [ -f "$HOME_DIR/.gravelwort-cluster" ] || die "$HOME_DIR was not made by Gravelwort; it is not deleted."
    stop_postmaster "$HOME_DIR/data"; rm -rf "${HOME_DIR:?}/data" "$HOME_DIR/ready"
  fi
  cluster_up "$HOME_DIR" 9>&-
fi
step "Tables and demo data"
OWNER_DATABASE_URL="$OWNER_URL" DUMP_DIR="$STATE/dumps" node_modules/.bin/tsx scripts/migrate.ts || die "the tables could not be brought up to date."
step "Build"
if [ "$DEV" = yes ]; then mkdir -p "$DIST"; node scripts/bundle-worker.mjs "$DIST" >"$STATE/build.log" 2>&1; else ensure_build "$DIST"; fi
export GRAVELWORT_WORKER="$ROOT/$DIST/predict-worker.cjs"
ensure_secret
[ "$DEMO" = no ] || APP_DATABASE_URL="$APP_URL" node_modules/.bin/tsx demo/load.ts || die "the demo could not be loaded."
OWNER_DATABASE_URL="$OWNER_URL" node_modules/.bin/tsx scripts/doors.ts "$([ "$DEMO" = no ] || echo demo)" || die "the doors could not be set."
export GRAVELWORT_INSTRUMENTS="$STATE/instruments.json"; rm -f "$GRAVELWORT_INSTRUMENTS"
serve_instruments() {
  INSTRUMENTS_AT=$(date +%s)
  node_modules/.bin/tsx instruments/serve.ts "$GRAVELWORT_INSTRUMENTS" 9>&- & INSTRUMENTS=$!
  echo "$INSTRUMENTS" >"$STATE/instruments.pid"
}
# One worker does what waits in the queue; more of them are run with npm run worker, here or on other machines.
serve_worker() {
  WORKER_AT=$(date +%s)
  APP_DATABASE_URL="$APP_URL" node --import tsx scripts/worker.ts 9>&- & WORKER=$!
  echo "$WORKER" >"$STATE/worker.pid"
}
serve_worker
serve_instruments
for _ in $(seq 100); do [ -s "$GRAVELWORT_INSTRUMENTS" ] && break; sleep 0.1; done
step "Serving at $SCHEME://$GRAVELWORT_HOST:$PORT (Ctrl-C stops it and the database)"
export APP_DATABASE_URL="$APP_URL" GRAVELWORT_DIST="$DIST" GRAVELWORT_PORT="$PORT" NEXT_TELEMETRY_DISABLED=1
serve() {
  local mode=start; [ "$DEV" = yes ] && mode=dev || export NODE_ENV=production
  node scripts/serve.mjs "$mode" 9>&- & SERVER=$!
  echo "$SERVER" >"$STATE/server.pid"
}
serve

# Watches both until told to stop: what ends by itself is brought up again. Five ends of the server within a minute are a fault that no new start mends.
ENDS=(); MENDING=no
while :; do
  sleep 1 9>&- & wait $! || true
  if [ -n "$HOME_DIR" ] && ! cluster_alive "$HOME_DIR"; then
    [ "$MENDING" = yes ] || say "      the database has ended by itself; it is brought up again"
    MENDING=yes
    if (trap - EXIT; cluster_up "$HOME_DIR") 9>&-; then
      MENDING=no; say "      the database is up again"
      if [ "$(cat "$HOME_DIR/port")" != "$PG_PORT" ]; then
        cluster_urls "$HOME_DIR"; export APP_DATABASE_URL="$APP_URL"; end_child "$SERVER"; end_child "$WORKER"; serve
      fi
    else sleep 4; fi
  fi
  if ! kill -0 "$SERVER" 2>/dev/null; then
    NOW=$(date +%s); ENDS=("$NOW" "${ENDS[@]:0:4}")
    [ "${#ENDS[@]}" = 5 ] && [ $((NOW - ENDS[4])) -lt 60 ] && die "the server ends again and again; what it said last stands above."
    say "      the server has ended by itself; it is started again"
    serve
  fi
  # What ends at once is not brought up every second.
  kill -0 "$WORKER" 2>/dev/null || [ $(($(date +%s) - WORKER_AT)) -lt 15 ] || serve_worker
  kill -0 "$INSTRUMENTS" 2>/dev/null || [ $(($(date +%s) - INSTRUMENTS_AT)) -lt 15 ] || serve_instruments
done
