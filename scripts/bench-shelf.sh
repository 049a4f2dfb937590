#!/usr/bin/env bash
# npm run bench:shelf: the shelf at 50,000 parts on a throw-away cluster.
set -uo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; STEPS=2
STATE="$ROOT/.gravelwort-test"; mkdir -p "$STATE"
. scripts/lib.sh
trap - ERR
unset DATABASE_URL APP_DATABASE_URL OWNER_DATABASE_URL
HOME_DIR=$(cluster_home "$STATE/db-$$" "$(printf %s "$ROOT" | sha256sum | cut -c1-12)-bench-$$") || exit 1
trap 'cluster_down "$HOME_DIR"; rm -rf "${HOME_DIR:?}"' EXIT
step "Throw-away database"
ensure_postgres
cluster_up "$HOME_DIR"
export OWNER_DATABASE_URL="$OWNER_URL" APP_DATABASE_URL="$APP_URL"
node_modules/.bin/tsx scripts/migrate.ts >/dev/null || exit 1
step "Measuring"
node_modules/.bin/tsx scripts/bench-shelf.ts "$@"
