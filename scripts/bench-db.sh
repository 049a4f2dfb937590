#!/usr/bin/env bash
# npm run bench:shelf, bench:board, bench:load, bench:kills, bench:sweep, bench:fleet, bench:shops, bench:servers: a bench on a throw-away cluster. bench-db.sh NAME [ARGUMENTS] runs scripts/bench-NAME.ts.
set -uo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; STEPS=2
STATE="$ROOT/.gravelwort-test"; mkdir -p "$STATE"
. scripts/lib.sh
trap - ERR
unset DATABASE_URL APP_DATABASE_URL OWNER_DATABASE_URL
HOME_DIR=$(cluster_home "$STATE/db-$$" "$(printf %s "$ROOT" | sha256sum | cut -c1-12)-bench-$$") || exit 1
trap 'cluster_down "$HOME_DIR"; mountpoint -q "$HOME_DIR" && umount "$HOME_DIR"; rm -rf "${HOME_DIR:?}"' EXIT
# A disk of the database's own, small enough to be filled; where the system allows it.
if [ "$1" = kills ] && [ "$(id -u)" = 0 ] && mount -t tmpfs -o size=400m tmpfs "$HOME_DIR" 2>/dev/null; then
  chmod 755 "$HOME_DIR"
  export GRAVELWORT_SMALL_DISK=yes PG_EXTRA="-c max_wal_size=64MB -c min_wal_size=32MB"
fi
# A million jobs: nothing of it need outlive the machine, and rows go in without rules.
if [ "$1" = shops ]; then export PG_EXTRA="-c fsync=off -c full_page_writes=off -c max_wal_size=8GB -c shared_buffers=2GB -c wal_level=minimal -c max_wal_senders=0"; fi
step "Throw-away database"
ensure_postgres
cluster_up "$HOME_DIR"
export OWNER_DATABASE_URL="$OWNER_URL" APP_DATABASE_URL="$APP_URL" GRAVELWORT_CLUSTER="$HOME_DIR"
node_modules/.bin/tsx scripts/migrate.ts >/dev/null || exit 1
if [ "$1" = shops ]; then as_pg "$(PG_BIN_DIR)/psql" -q -h "$HOME_DIR/sock" -p "$PG_PORT" -U postgres -d gravelwort -c 'GRANT SET ON PARAMETER session_replication_role TO gravelwort_owner'; fi
step "Measuring"
NAME=$1; shift
case $NAME in load|kills|sweep|fleet|shops|servers)
  export GRAVELWORT_DIST=.next-test GRAVELWORT_WORKER="$ROOT/.next-test/predict-worker.cjs"
  ensure_secret; ensure_build .next-test; node_modules/.bin/tsx demo/load.ts >/dev/null || exit 1 ;;
esac
node_modules/.bin/tsx "scripts/bench-$NAME.ts" "$@"
