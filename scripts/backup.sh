# shellcheck shell=bash
# Backups are data: rows in PostgreSQL's custom format, of a schema that is ours and is made anew before they come back.
# What is in one is added by a role that may do nothing else.

# One line a table: its name, how many rows, and a digest of them all in an order of their own.
DIGEST_SQL=$(cat <<'SQL'
select format(
    'select %L, count(*), coalesce(md5(string_agg(md5(t::text), '''' order by md5(t::text))), ''-'') from %I t',
    tablename, tablename)
from pg_tables where schemaname = 'public' and tablename <> 'flyway_schema_history' order by tablename \gexec
SQL
)

digest_of() { as_role eskiz_owner psql -X -q -At -v ON_ERROR_STOP=1 -d "$1" <<<"$DIGEST_SQL"; }

# write_backup DATABASE FILE. Dump and digest see the same moment, though the server goes on writing.
write_backup() {
  local database=$1 file=$2 work snapshot line in out session
  work=$(as_owner mktemp -d "$DATA/tmp/XXXXXXXX")
  at_exit "rm -rf '$work'"
  coproc SESSION { as_role eskiz_owner psql -X -q -At -d "$database" 2>&1; }
  in=${SESSION[1]} out=${SESSION[0]} session=$SESSION_PID
  echo "begin isolation level repeatable read read only; select pg_export_snapshot();" >&"$in"
  read -r -t 30 snapshot <&"$out" || fail "the database does not answer"
  as_role eskiz_owner pg_dump -Fc --data-only --no-owner --exclude-table=flyway_schema_history --snapshot="$snapshot" \
    -d "$database" -f "$work/rows.dump" || fail "the database could not be dumped"
  printf '%s\n\\echo done\n' "$DIGEST_SQL" >&"$in"
  while read -r -t 60 line <&"$out" && [ "$line" != "done" ]; do printf '%s\n' "$line"; done >"$work/digest"
  echo '\q' >&"$in"
  wait "$session" || true
  grep -q '^plan|' "$work/digest" || fail "the digest of the rows could not be made"
  printf 'eskiz-backup 2\nschema %s\n' "$(schema_version "$database")" >"$work/manifest"
  hand_over "$work"
  as_owner tar -C "$work" -cz manifest rows.dump digest >"$file.part" 2>/dev/null || fail "$file cannot be written"
  mv "$file.part" "$file"
  case $file in "$DATA"/*) hand_over "$file" ;; esac
  rm -rf "$work"
}

# For a command that needs the database and not the server; it is left as it was found.
open_database() {
  ! shared_database || fail "the database at $ESKIZ_DATABASE_URL is kept where it runs, by pg_dump: see docs/operating.md"
  need_postgres
  data_folder
  [ -d "$DATA/cluster" ] || fail "there is no database in $DATA yet: ./eskiz start makes it"
  claim_data_folder
  lock_data_folder
  cluster_refusals
  if ! database_runs; then
    at_exit stop_database
  fi
  start_database
}

backup() {
  [ $# -eq 1 ] || { usage >&2; fail "backup takes the file to write"; }
  [ -d "$(dirname "$1")" ] || fail "there is no folder $(dirname "$1")"
  need_java
  open_database
  local digest
  digest=$(source_digest)
  install_app "$digest"
  bring_up_roles "$digest"
  write_backup eskiz "$1"
  say "everything is in $1: $(total_rows <(tar -xzOf "$1" digest)) rows"
}

bring_up_roles() {
  local app=$DATA/app/$1
  [ -e "$app/roles-made" ] || need_roles "$app" eskiz
  as_owner touch "$app/roles-made"
}

total_rows() { awk -F'|' '{ n += $2 } END { print n + 0 }' "$1"; }

# Members by name and kind, before anything is taken out: plain files, each once, no more than the disk has room for.
unpack_backup() {
  local file=$1 work=$2 listing members
  listing=$(as_owner tar -tvzf - <"$file" 2>/dev/null) || fail "$file is not a backup of Eskiz"
  ! printf '%s\n' "$listing" | grep -qv '^-' || fail "$file is not a backup of Eskiz: not everything in it is a plain file"
  members=$(printf '%s\n' "$listing" | awk '{ print $NF }' | sort | tr '\n' ' ')
  case $members in
    'digest manifest rows.dump ' | 'digest eskiz.sql ') ;;
    *) fail "$file is not a backup of Eskiz: it has other files in it" ;;
  esac
  [ "$(printf '%s\n' "$listing" | awk '{ n += $3 } END { printf "%d", n / 1048576 }')" -lt "$(free_mb)" ] \
    || fail "$file does not fit on the disk of $DATA; nothing was changed"
  # shellcheck disable=SC2086 # the names just compared
  as_owner tar -C "$work" -xzf - --no-same-owner --no-same-permissions $members <"$file" 2>/dev/null \
    || fail "$file is not a backup of Eskiz: it is cut off"
  grep -v '^flyway_schema_history|' "$work/digest" >"$work/digest.rows" || fail "$file is not a backup of Eskiz: it has no digest"
}

# From which schema a backup is; of the old plain ones, after they were read for what they may contain.
schema_of_backup() {
  local app=$1 work=$2
  if [ -f "$work/manifest" ]; then
    grep -qx 'eskiz-backup 2' "$work/manifest" || fail "this backup is of a form that this Eskiz does not know; nothing was changed"
    sed -n 's/^schema \([0-9][0-9]*\)$/\1/p' "$work/manifest"
  else
    as_owner "$(java_program java)" -cp "$app/eskiz.jar" org.eskiz.server.backup.PlainBackup \
      "$work/eskiz.sql" "$work/rows.sql" 2>"$work/refused" \
      || fail "this backup is refused, nothing was changed: $(tail -n 1 "$work/refused")"
  fi
}

# Rows come in any order; what refers to what is looked at when all are there. Triggers find their tables, though whoever
# adds rows looks for none by name.
DEFER_SQL=$(cat <<'SQL'
do $$
declare
    c record;
begin
    for c in select conrelid::regclass as tab, conname from pg_constraint
             where contype = 'f' and connamespace = 'public'::regnamespace loop
        execute format('alter table %s alter constraint %I WHEN', c.tab, c.conname);
    end loop;
    for c in select p.oid::regprocedure as name from pg_proc p
             where p.pronamespace = 'public'::regnamespace and p.prorettype = 'trigger'::regtype loop
        execute format('alter function %s set search_path = public', c.name);
    end loop;
end $$
SQL
)

# Rows come back as they were: what counts changes of a piece (V11) does not count them as such.
COUNT_SQL=$(cat <<'SQL'
do $$
declare
    t record;
begin
    for t in select g.tgrelid::regclass as tab, g.tgname from pg_trigger g join pg_proc p on p.oid = g.tgfoid
             where p.pronamespace = 'public'::regnamespace and p.proname like '%\_touched' loop
        execute format('alter table %s WHEN trigger %I', t.tab, t.tgname);
    end loop;
end $$
SQL
)

# Rows of all workshops come back at once; a server is shown those of one (V14).
SHOW_SQL=$(cat <<'SQL'
do $$
declare
    t record;
begin
    for t in select distinct tablename as name from pg_policies where schemaname = 'public' loop
        execute format('alter table %I WHEN row level security', t.name);
    end loop;
end $$
SQL
)

EMPTY_SQL=$(cat <<'SQL'
do $$
declare
    names text;
begin
    select string_agg(format('%I', tablename), ', ') into names from pg_tables
    where schemaname = 'public' and tablename <> 'flyway_schema_history';
    execute 'truncate ' || names;
end $$
SQL
)

# fill_restored APP WORK SCHEMA FILE: a fresh database of our own schema, and the rows of a backup in it, proved equal
fill_restored() {
  local app=$1 work=$2 schema=$3 file=$4 log=$DATA/log/restore.log
  sql eskiz postgres "drop database if exists eskiz_restored with (force)"
  sql eskiz postgres "create database eskiz_restored"
  at_exit 'drop_restored'
  need_roles "$app" eskiz_restored
  migrate "$app" eskiz_restored "$schema"
  sql eskiz_owner eskiz_restored "$EMPTY_SQL"
  sql eskiz_owner eskiz_restored "${DEFER_SQL/WHEN/deferrable initially deferred}"
  sql eskiz_owner eskiz_restored "${COUNT_SQL/WHEN/disable}"
  sql eskiz_owner eskiz_restored "${SHOW_SQL/WHEN/disable}"
  if [ -f "$work/rows.dump" ]; then
    as_role eskiz_restore pg_restore --data-only --single-transaction --exit-on-error --no-owner --no-privileges \
      -d eskiz_restored "$work/rows.dump" >"$log" 2>&1
  else
    as_role eskiz_restore psql -X -q -1 -v ON_ERROR_STOP=1 -d eskiz_restored -f "$work/rows.sql" >"$log" 2>&1
  fi || fail "$file could not be read, nothing was changed: $(grep -m1 -iE 'error' "$log" | cut -c1-300)"
  sql eskiz_owner eskiz_restored "${DEFER_SQL/WHEN/not deferrable}"
  sql eskiz_owner eskiz_restored "${COUNT_SQL/WHEN/enable}"
  sql eskiz_owner eskiz_restored "${SHOW_SQL/WHEN/enable}"
  digest_of eskiz_restored | cmp -s - "$work/digest.rows" \
    || fail "what was read from $file is not what was written into it; nothing was changed"
}

drop_restored() { ! database_runs || sql eskiz postgres "drop database if exists eskiz_restored with (force)"; }

restore() {
  local file=${1:-} sure=${2:-} digest app schema was_running kept
  [ -n "$file" ] || { usage >&2; fail "restore takes the file to read"; }
  [ -f "$file" ] || fail "there is no file $file"
  need_java
  open_database
  digest=$(source_digest)
  install_app "$digest"
  app=$DATA/app/$digest
  make_scratch
  unpack_backup "$file" "$SCRATCH"
  schema=$(schema_of_backup "$app" "$SCRATCH")
  [ -n "$schema" ] || fail "$file is not a backup of Eskiz: it does not say of which version it is"
  [ "$schema" -le "$(newest_migration "$digest")" ] \
    || fail "$file is of version $schema and was made by a newer Eskiz; this one knows versions up to $(newest_migration "$digest")"
  if [ "$sure" != --yes ]; then
    say "This replaces everything in $DATA by $file ($(total_rows "$SCRATCH/digest.rows") rows)."
    read -r -p 'Type yes to go on: ' sure || true
    [ "$sure" = yes ] || fail "nothing was changed"
  fi
  fill_restored "$app" "$SCRATCH" "$schema" "$file"
  was_running=$(server_pid || true)
  stop_server
  swap_databases
  kept=$(keep_replaced)
  say "restored, every row proved equal by its digest; what was there before is in $kept"
  if [ -n "$was_running" ]; then
    ENDINGS=("${ENDINGS[@]/stop_database/}")
    start_again "$digest"
  else
    say "./eskiz start goes on from it"
  fi
}

# One transaction: there is never a moment without a database, nor with an empty one.
swap_databases() {
  sql eskiz postgres "select pg_terminate_backend(pid) from pg_stat_activity where datname in ('eskiz', 'eskiz_restored')" >/dev/null
  sql eskiz postgres "begin; alter database eskiz rename to eskiz_replaced; alter database eskiz_restored rename to eskiz; commit"
}

# What was replaced becomes a backup, and goes.
keep_replaced() {
  local kept
  kept=$DATA/backups/before-restore-$(date -u +%Y%m%dT%H%M%SZ).tar.gz
  as_owner mkdir -p "$DATA/backups"
  write_backup eskiz_replaced "$kept"
  sql eskiz postgres "drop database eskiz_replaced with (force)"
  printf %s "$kept"
}

# A restore that was broken off is undone where the databases were not swapped yet, and finished where they were.
finish_interrupted_restore() {
  if ! has_database eskiz && has_database eskiz_replaced; then
    say "undoing a restore that was broken off"
    sql eskiz postgres "alter database eskiz_replaced rename to eskiz"
  fi
  if has_database eskiz && has_database eskiz_replaced && [ -s "$DATA/eskiz_owner.password" ]; then
    say "finishing a restore that was broken off; what was there before is in $(keep_replaced)"
  fi
  has_database eskiz_restored && sql eskiz postgres "drop database eskiz_restored with (force)"
  return 0
}
