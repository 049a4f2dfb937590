#!/usr/bin/env bash
# npm run backup -- FILE, npm run restore -- FILE, npm run bundle -- export|import|schema …: of the private database, or of the one DATABASE_URL names.
# The server may run meanwhile.
set -euo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; STATE=${GRAVELWORT_STATE:-$ROOT/.gravelwort}; mkdir -p "$STATE"
. scripts/lib.sh
ACT=$1; shift
if [ -n "${DATABASE_URL:-}" ]; then OWNER_URL=$DATABASE_URL
else
  HOME_DIR=$(cat "$STATE/database" 2>/dev/null || true)
  if [ -z "$HOME_DIR" ]; then
    ensure_postgres; ensure_packages
    HOME_DIR=$(cluster_home "$STATE/db" "$(printf %s "${GRAVELWORT_STATE:-$ROOT}" | sha256sum | cut -c1-12)"); echo "$HOME_DIR" >"$STATE/database"
  fi
  if cluster_alive "$HOME_DIR"; then cluster_urls "$HOME_DIR"; else cluster_up "$HOME_DIR"; trap 'cluster_down "$HOME_DIR"' EXIT; fi
fi
if [ "$ACT" = bundle ]; then
  APP_DATABASE_URL="${APP_DATABASE_URL:-${APP_URL:-$OWNER_URL}}" NODE_ENV=production node_modules/.bin/tsx scripts/bundle.ts "$@"
  exit
fi
OWNER_DATABASE_URL="$OWNER_URL" node_modules/.bin/tsx scripts/keep.ts "$ACT" "$@"
