# shellcheck shell=bash
# The private cluster, its roles and its schema; or a database that several servers share, which the environment names.
#
# eskiz makes databases and roles and is used by nothing but this script; eskiz_owner owns the schema and changes it;
# eskiz_app is the server; eskiz_restore adds the rows of a backup and owns nothing at all.

shared_database() { [ -n "${ESKIZ_DATABASE_URL:-}" ]; }

# Before anything is done with it: the server says the rest, such as a url that it cannot read.
check_shared_database() {
  local file=${ESKIZ_DATABASE_PASSWORD_FILE:-}
  [ -n "${ESKIZ_DATABASE_USER:-}" ] || fail "ESKIZ_DATABASE_URL goes with ESKIZ_DATABASE_USER"
  [ -n "$file" ] || return 0
  case $file in /*) ;; *) fail "ESKIZ_DATABASE_PASSWORD_FILE must be named by its whole path, not \"$file\"" ;; esac
  as_owner test -r "$file" || fail "ESKIZ_DATABASE_PASSWORD_FILE $file cannot be read by $OWNER, as whom the server runs"
}

# tell_database ROLE DATABASE: what a program is told of the database it works on
tell_database() {
  if ! shared_database; then
    ESKIZ_DATABASE_URL=postgresql://127.0.0.1:$(cat "$DATA/db.port")/$2
    ESKIZ_DATABASE_USER=$1
    ESKIZ_DATABASE_PASSWORD_FILE=$DATA/$1.password
  fi
  export ESKIZ_DATABASE_URL ESKIZ_DATABASE_USER ESKIZ_DATABASE_PASSWORD_FILE
}

cluster_refusals() {
  local kept
  kept=$(as_owner cat "$DATA/cluster/PG_VERSION")
  [ -x "/usr/lib/postgresql/$kept/bin/pg_ctl" ] \
    || fail "the database in $DATA/cluster was made by PostgreSQL $kept, which is not installed here; it is left as it is"
  POSTGRES_BIN=/usr/lib/postgresql/$kept/bin
}

make_cluster() {
  say "making the database"
  local fresh=$DATA/cluster.new
  rm -rf "$fresh"
  need_secret db.password
  as_owner "$POSTGRES_BIN/initdb" -D "$fresh" -U eskiz -E UTF8 --locale=C.UTF-8 --auth=scram-sha-256 \
    --pwfile="$DATA/db.password" >"$DATA/log/initdb.log" 2>&1 \
    || fail "the database could not be made: $(grep -m1 error "$DATA/log/initdb.log" || tail -n 1 "$DATA/log/initdb.log")"
  mv "$fresh" "$DATA/cluster"
}

secret_of() {
  case $1 in
    eskiz) cat "$DATA/db.password" ;;
    *) cat "$DATA/$1.password" ;;
  esac
}

# Runs one of PostgreSQL's programs on the private cluster, as one of its roles and never as root.
as_role() {
  local role=$1 program=$2
  shift 2
  (
    PGPASSWORD=$(secret_of "$role")
    export PGPASSWORD PGHOST=127.0.0.1 PGUSER=$role PGOPTIONS='-c client_min_messages=warning'
    PGPORT=$(cat "$DATA/db.port")
    export PGPORT
    cd "$DATA" || exit 1
    as_owner "$POSTGRES_BIN/$program" "$@"
  )
}

# sql ROLE DATABASE STATEMENT
sql() { as_role "$1" psql -X -q -At -v ON_ERROR_STOP=1 -d "$2" -c "$3"; }

port_is_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
  local port
  for _ in $(seq 50); do
    # below the range from which Linux takes the ports of outgoing connections
    port=$((20000 + RANDOM % 12000))
    port_is_taken "$port" || { printf %s "$port"; return; }
  done
  fail "no free port was found for the database"
}

database_runs() { as_owner "$POSTGRES_BIN/pg_ctl" -D "$DATA/cluster" status >/dev/null 2>&1; }

# A database that was just killed still counts as running for a moment.
database_answers() {
  for _ in $(seq 100); do
    database_runs || return 1
    as_role eskiz pg_isready -q && return
    sleep 0.1
  done
  return 1
}

start_database() {
  if shared_database; then
    check_shared_database
    return
  fi
  if [ -d "$DATA/cluster" ]; then cluster_refusals; else make_cluster; fi
  if ! database_answers; then
    local try
    for try in 1 2 3; do
      # a server that lost its database looks for it where it was
      server_pid >/dev/null || free_port >"$DATA/db.port"
      run_postgres && break
      # somebody else may have taken the port since it was found free
      { [ "$try" -lt 3 ] && database_error | grep -q 'TCP/IP'; } \
        || fail "the database does not come up, see $DATA/log/database.log: $(database_error)"
    done
  fi
  finish_interrupted_restore
}

run_postgres() {
  local options
  options="-p $(cat "$DATA/db.port") -c listen_addresses=127.0.0.1 -c unix_socket_directories=''"
  as_owner setsid "$POSTGRES_BIN/pg_ctl" -D "$DATA/cluster" -w -t 60 -l "$DATA/log/database.log" -o "$options" start \
    >"$DATA/log/pg_ctl.log" 2>&1 9>&-
}

database_error() {
  tail -n 20 "$DATA/log/database.log" 2>/dev/null | grep -E 'FATAL|PANIC' | tail -n 1 | grep . || grep -m1 . "$DATA/log/pg_ctl.log"
}

stop_database() {
  [ -d "$DATA/cluster" ] || return 0
  database_runs || return 0
  as_owner "$POSTGRES_BIN/pg_ctl" -D "$DATA/cluster" -m fast -w stop >/dev/null 2>&1 \
    || fail "the database does not stop, see $DATA/log/database.log"
}

has_database() { [ -n "$(sql eskiz postgres "select 1 from pg_database where datname = '$1'")" ]; }

need_database() { has_database eskiz || sql eskiz postgres "create database eskiz"; }

# need_roles APP DATABASE: who may do what there, with secrets of their own
need_roles() {
  local app=$1 database=$2 role
  as_role eskiz psql -X -q -v ON_ERROR_STOP=1 -d "$database" -f "$app/db/roles.sql" >/dev/null
  for role in eskiz_owner eskiz_app eskiz_restore; do
    need_secret "$role.password"
    sql eskiz postgres "alter role $role password '$(secret_of "$role")'"
  done
}

schema_version() {
  sql eskiz_owner "$1" "select max(version::int) from flyway_schema_history where success" 2>/dev/null || true
}

# migrate APP DATABASE [VERSION]
migrate() {
  local app=$1 database=$2
  shift 2
  (
    tell_database eskiz_owner "$database"
    cd "$DATA" || exit 1
    as_owner "$(java_program java)" -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -cp "$app/eskiz.jar" \
      org.eskiz.server.Migrations "$@" >"$DATA/log/migration.log" 2>&1
  ) || fail "the schema could not be brought up, see $DATA/log/migration.log: $(grep -m1 -E 'ERROR|Exception' "$DATA/log/migration.log")"
}

# Brings the schema to what this build needs; before an older one is changed, everything is kept.
bring_up_schema() {
  ! shared_database || return 0 # ./eskiz migrate does it
  local digest=$1 app=$DATA/app/$1 applied newest
  need_database
  [ -e "$app/roles-made" ] || need_roles "$app" eskiz
  as_owner touch "$app/roles-made"
  applied=$(schema_version eskiz)
  newest=$(newest_migration "$digest")
  [ "${applied:-0}" -le "$newest" ] \
    || fail "the database is of version $applied and was made by a newer Eskiz; this one knows versions up to $newest: start the newer one"
  [ "${applied:-0}" -lt "$newest" ] || return 0
  [ -z "$applied" ] || back_up_before_migration "$applied" "$newest"
  migrate "$app" eskiz
}

# Schema and built-in catalogue of a database that several servers share, as the owner of the schema.
migrate_shared() {
  need_java
  data_folder
  shared_database || fail "a server with a database of its own brings it up at ./eskiz start; ESKIZ_DATABASE_URL names one that several share"
  claim_data_folder
  lock_data_folder
  check_shared_database
  local digest app
  digest=$(source_digest)
  install_app "$digest"
  app=$DATA/app/$digest
  (
    cd "$DATA" || exit 1
    as_owner "$(java_program java)" -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -cp "$app/eskiz.jar" \
      org.eskiz.server.MigrateStep >"$DATA/log/migration.log" 2>&1
  ) || fail "the database could not be brought up, see $DATA/log/migration.log: $(grep -E 'ERROR|Exception|Caused by' "$DATA/log/migration.log" | tail -n 1 | cut -c1-300)"
  say "the database is of version $(newest_migration "$digest"); servers of this version can start"
}

# Before a migration everything is dumped; the last five are kept.
back_up_before_migration() {
  say "keeping a backup before the database is changed from version $1 to $2"
  as_owner mkdir -p "$DATA/backups"
  write_backup eskiz "$DATA/backups/before-migration-$(date -u +%Y%m%dT%H%M%SZ).tar.gz"
  find "$DATA/backups" -name 'before-migration-*.tar.gz' | sort -r | tail -n +6 | xargs -r -d '\n' rm -f
}
