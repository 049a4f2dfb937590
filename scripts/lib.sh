# Shared by start.sh and test.sh. Sourced, not run. Plain bash, idempotent.
trap 'echo "Gravelwort stopped unexpectedly at line $LINENO of ${BASH_SOURCE[0]##*/}: $BASH_COMMAND" >&2' ERR
set -E
say() { printf '%s\n' "$*"; }
step() { STEP=$((${STEP:-0} + 1)); printf '[%s/%s] %s\n' "$STEP" "$STEPS" "$*"; }
die() { printf 'Gravelwort cannot go on: %s\n' "$*" >&2; exit 1; }

PG_BIN_DIR() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

have_postgres() { local bin; bin=$(PG_BIN_DIR); [ -n "$bin" ] && [ -x "$bin/initdb" ] && [ -x "$bin/postgres" ]; }

apt_install() { # apt_install WHAT PACKAGE...
  local what=$1; shift
  command -v apt-get >/dev/null || die "$what is missing and this is not a Debian machine; install it and start again."
  [ "$(id -u)" = 0 ] || die "$what is missing and only root may install it; run once as root, or install: $*"
  export DEBIAN_FRONTEND=noninteractive
  apt-get update -qq >/dev/null 2>&1 || true
  apt-get install -y -qq --no-install-recommends "$@" >"$STATE/apt.log" 2>&1 ||
    die "$what could not be installed from Debian's packages (see $STATE/apt.log)."
}

ensure_postgres() {
  have_postgres && return 0
  say "      installing PostgreSQL from Debian's packages (about a minute)"
  if [ "$(id -u)" = 0 ]; then
    mkdir -p /etc/postgresql-common/createcluster.d
    echo 'create_main_cluster = false' >/etc/postgresql-common/createcluster.d/nomain.conf
  fi
  apt_install PostgreSQL postgresql postgresql-client
  have_postgres || die "PostgreSQL was installed but its programs were not found."
}

ensure_chromium() {
  [ -x /usr/bin/chromium ] && return 0
  say "      installing Chromium from Debian's packages (about half a minute)"
  apt_install Chromium chromium
}

# Only for tests of several servers: the program itself needs no pooler.
ensure_pooler() {
  [ -x /usr/sbin/pgbouncer ] && return 0
  say "      installing PgBouncer from Debian's packages (some seconds)"
  apt_install PgBouncer pgbouncer
}

ensure_disk() { # ensure_disk MEGABYTES
  local free; free=$(df -Pm "$ROOT" | awk 'NR==2{print $4}')
  [ "${free:-0}" -ge "$1" ] || die "only ${free} MB of disk are free here; $1 MB are needed."
}

ensure_packages() {
  command -v node >/dev/null && command -v npm >/dev/null || die "Node.js with npm is needed (version 20.9 or later)."
  local want have; want=$(cat package-lock.json .npmrc package.json | sha256sum | cut -c1-40)
  have=$(cat node_modules/.gravelwort-lock 2>/dev/null || true)
  [ "$want" = "$have" ] && return 0
  say "      installing npm packages from the lock file (one to two minutes)"
  npm ci --no-audit --no-fund --loglevel=error >"$STATE/npm.log" 2>&1 || { tail -5 "$STATE/npm.log" >&2; die "npm packages could not be installed (see $STATE/npm.log)."; }
  echo "$want" >node_modules/.gravelwort-lock
}

# Hash of everything that goes into a build.
source_hash() {
  { find src scripts/bundle-worker.mjs next.config.ts tsconfig.json package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum; } | sha256sum | cut -c1-40
}

ensure_build() { # ensure_build DISTDIR
  local dist=$1 want; want=$(source_hash)
  [ "$want" = "$(cat "$dist/gravelwort-hash" 2>/dev/null || true)" ] && return 0
  say "      building (about a minute, only when the source has changed)"
  GRAVELWORT_DIST="$dist" NEXT_TELEMETRY_DISABLED=1 node node_modules/next/dist/bin/next build >"$STATE/build.log" 2>&1 ||
    { tail -40 "$STATE/build.log" >&2; die "the build failed (see $STATE/build.log)."; }
  node scripts/bundle-worker.mjs "$dist" >>"$STATE/build.log" 2>&1 || die "the solver's worker could not be bundled (see $STATE/build.log)."
  echo "$want" >"$dist/gravelwort-hash"
}

# Runs a program as the database's system user: postgres when we are root, ourselves otherwise.
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && exec runuser -u postgres -- "$@"); else "$@"; fi; }

port_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{process.stdout.write(String(s.address().port));s.close()})'; }

# Chooses a folder the postgres user can reach: the wanted one, else one under /var/lib/gravelwort.
cluster_home() { # cluster_home WANTED NAME
  local wanted=$1 name=$2
  mkdir -p "$wanted" 2>/dev/null || die "no folder can be made at $wanted."
  if [ "$(id -u)" != 0 ]; then echo "$wanted"; return; fi
  if [ "${#wanted}" -lt 80 ] && as_pg test -x "$wanted" 2>/dev/null; then echo "$wanted"; return; fi
  rmdir "$wanted" 2>/dev/null || true
  wanted="/var/lib/gravelwort/$name"
  mkdir -p "$wanted"; chmod 755 /var/lib/gravelwort "$wanted"
  echo "$wanted"
}

# cluster_up HOME: makes the cluster when there is none, mends a half-made or crashed one, starts it.
# Sets PG_PORT and OWNER_URL, APP_URL (application role, no superuser).
cluster_up() {
  local home=$1 bin data sock; bin=$(PG_BIN_DIR); data="$home/data"; sock="$home/sock"
  mkdir -p "$home"; echo "made by Gravelwort" >"$home/.gravelwort-cluster"
  if [ -d "$data" ] && [ ! -f "$home/ready" ]; then say "      a half-made database was found; it is put aside and made anew"; stop_postmaster "$data"; mv "$data" "$home/half-made-$(date +%s)"; fi
  mkdir -p "$sock" "$data"
  if [ "$(id -u)" = 0 ]; then chown postgres "$home" "$sock" "$data"; fi
  chmod 700 "$sock" "$data"
  if [ ! -f "$home/ready" ]; then
    as_pg "$bin/initdb" -D "$data" -U postgres -E UTF8 --locale=C.UTF-8 --auth-local=trust --auth-host=scram-sha-256 >"$STATE/initdb.log" 2>&1 ||
      die "the database could not be created (see $STATE/initdb.log)."
    (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$home/owner.secret"; head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$home/app.secret")
  fi
  PG_PORT=$(cat "$home/port" 2>/dev/null || true)
  if [ -n "$PG_PORT" ] && [ -f "$data/postmaster.pid" ] && as_pg "$bin/pg_isready" -q -h "$sock" -p "$PG_PORT"; then
    say "      the database of an earlier run is still up and is used"
  else
    stop_postmaster "$data"
    if [ -z "$PG_PORT" ] || ! port_free "$PG_PORT"; then PG_PORT=$(free_port); fi
    echo "$PG_PORT" >"$home/port"
    : >"$home/log"; [ "$(id -u)" = 0 ] && chown postgres "$home/log"
    # A file for each day of the week, begun anew when its day comes round: the log never grows past a week.
    local logging="-c logging_collector=on -c log_directory='$home/logs' -c log_filename=%a.log -c log_rotation_age=1d -c log_rotation_size=0 -c log_truncate_on_rotation=on"
    as_pg "$bin/pg_ctl" -D "$data" -l "$home/log" -w -t 60 -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='$sock' $logging ${PG_EXTRA:-}" start >"$STATE/pg_ctl.log" 2>&1 ||
      { tail -5 "$home/log" "$home/logs/$(LC_ALL=C date +%a).log" >&2 2>/dev/null; die "the database did not start (see $home/log and $home/logs)."; }
  fi
  if [ ! -f "$home/ready" ]; then
    as_pg "$bin/psql" -q -v ON_ERROR_STOP=1 -h "$sock" -p "$PG_PORT" -U postgres -d postgres >"$STATE/roles.log" 2>&1 <<SQL || die "the database's roles could not be made (see $STATE/roles.log)."
CREATE ROLE gravelwort_owner LOGIN CREATEDB CREATEROLE BYPASSRLS PASSWORD '$(cat "$home/owner.secret")';
CREATE ROLE gravelwort_app LOGIN PASSWORD '$(cat "$home/app.secret")';
GRANT gravelwort_app TO gravelwort_owner;
CREATE DATABASE gravelwort OWNER gravelwort_owner;
SQL
    touch "$home/ready"
  fi
  cluster_urls "$home"
}

# cluster_urls HOME: the addresses of a cluster that runs.
cluster_urls() {
  local home=$1; PG_PORT=$(cat "$home/port")
  OWNER_URL="postgresql://gravelwort_owner:$(cat "$home/owner.secret")@127.0.0.1:$PG_PORT/gravelwort"
  APP_URL="postgresql://gravelwort_app:$(cat "$home/app.secret")@127.0.0.1:$PG_PORT/gravelwort"
}

# The server's own secret, which PINs are mixed with: given, or made once and kept beside the database, never in it.
ensure_secret() {
  if [ -z "${GRAVELWORT_SECRET:-}" ]; then
    [ -s "$STATE/secret" ] || (umask 077; head -c 48 /dev/urandom | base64 | tr -d '\n/+=' >"$STATE/secret")
    GRAVELWORT_SECRET=$(cat "$STATE/secret")
  fi
  [ "${#GRAVELWORT_SECRET}" -ge 32 ] || die "GRAVELWORT_SECRET must be 32 signs or longer."
  export GRAVELWORT_SECRET
}

# Whether the process of a pid file is this cluster's server (a zombie is not).
is_postmaster() { [ -n "$1" ] && tr '\0' ' ' <"/proc/$1/cmdline" 2>/dev/null | grep -q -- "$2"; }

# Ends a server left by a crash, by the id in its own pid file, and removes the stale pid file and socket.
stop_postmaster() {
  local data=$1 pid signal; pid=$(head -1 "$data/postmaster.pid" 2>/dev/null || true)
  for signal in INT QUIT; do
    is_postmaster "$pid" "$data" || break
    kill -"$signal" "$pid" 2>/dev/null || true
    for _ in $(seq 100); do is_postmaster "$pid" "$data" || break; sleep 0.1; done
  done
  is_postmaster "$pid" "$data" && die "the database of an earlier run (process $pid) does not end."
  rm -f "$data/postmaster.pid" "${data%/data}"/sock/.s.PGSQL.*
}

cluster_down() { local home=$1 bin; bin=$(PG_BIN_DIR); [ -f "$home/data/postmaster.pid" ] && as_pg "$bin/pg_ctl" -D "$home/data" -m fast -w stop >/dev/null 2>&1 || true; }

# Whether the cluster's server runs; it need not answer yet.
cluster_alive() { is_postmaster "$(head -1 "$1/data/postmaster.pid" 2>/dev/null || true)" "$1/data"; }

# end_child PID: asks a child to end, and after ten seconds does not ask.
end_child() {
  local pid=$1; [ -n "$pid" ] || return 0
  kill -TERM "$pid" 2>/dev/null || return 0
  for _ in $(seq 100); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
  kill -KILL "$pid" 2>/dev/null || true
}

# end_left FILE: ends the server or the instruments of this folder whose start is gone, by the id they were written down under; whatever else has that id by now is let be.
end_left() {
  local pid; pid=$(cat "$1" 2>/dev/null || true); rm -f "$1"
  [ -n "$pid" ] && [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$ROOT" ] || return 0
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qE 'next|serve.mjs|instruments/serve' || return 0
  say "      a program left by an earlier start (process $pid) is ended"
  end_child "$pid"
}
