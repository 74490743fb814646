# shellcheck shell=bash
# What an operator types.
# shellcheck disable=SC2034 # the other parts use what is set here
usage() {
  cat <<'END'
usage: ./eskiz start [--background] [--no-demo]   install, build, start; prints the address when ready
       ./eskiz stop                               stop server and database
       ./eskiz open [ADDRESS]                     let others in, who sign in; prints a link for the keeper
       ./eskiz close                              for this machine alone again
       ./eskiz migrate                            bring up a database that several servers share
       ./eskiz backup FILE                        everything, with a digest of all rows, into one file
       ./eskiz restore FILE [--yes]               replace everything by a backup; asks first
       ./eskiz test                               install, build, run every test

environment: ESKIZ_PORT  port of the server on 127.0.0.1 (8080)
             ESKIZ_DATA  folder of the operator's data (~/.local/share/eskiz; for root /var/lib/eskiz)
             ESKIZ_ADDRESS, ESKIZ_BIND, ESKIZ_TLS_CERTIFICATE, ESKIZ_TLS_KEY, ESKIZ_BEHIND_PROXY
                         what a server is that is open to others; see docs/operating.md
             ESKIZ_DATABASE_URL, ESKIZ_DATABASE_USER, ESKIZ_DATABASE_PASSWORD_FILE
                         a database that several servers share; see docs/operating.md
             ESKIZ_ACCESS_LOG  true for a line about every request in log/access.*.log of that folder
             ESKIZ_ANALYSER_PORT, ESKIZ_WATTMETER_PORT  ports of the stand-in instruments that start with the demo
                         (5025 and 5026; with another ESKIZ_PORT the two above it)
END
}

address() {
  if [ -n "${ESKIZ_ADDRESS:-}" ]; then printf '%s/' "$ESKIZ_ADDRESS"; else printf 'http://127.0.0.1:%s/' "$1"; fi
}

check_port() {
  { [[ $1 =~ ^[0-9]{1,5}$ ]] && [ "$1" -ge 1 ] && [ "$1" -le 65535 ]; } || fail "ESKIZ_PORT must be from 1 to 65535, not \"$1\""
}

stop_everything() {
  stop_server
  stop_stand_ins
  stop_database
}

start() {
  local background='' port=${ESKIZ_PORT:-8080} digest option
  if shared_database; then WITH_DEMO=false; else WITH_DEMO=true; fi
  for option in "$@"; do
    case $option in
      --background) background=yes ;;
      --no-demo) WITH_DEMO=false ;;
      *) usage >&2; fail "start does not know \"$option\"" ;;
    esac
  done
  check_port "$port"
  shared_database || need_postgres
  data_folder
  load_open_settings
  check_tls
  claim_data_folder
  check_free_space
  lock_data_folder
  digest=$(source_digest)
  # what built this version runs it
  { [ -d "$DATA/app/$digest" ] && command -v "$(java_program java)" >/dev/null; } || need_java
  if server_pid >/dev/null; then
    report_running "$digest"
    return
  fi
  port_is_taken "$port" && fail "port $port is taken by another program: choose another with ESKIZ_PORT"
  install_app "$digest"
  at_exit stop_everything
  start_database
  bring_up_schema "$digest"
  find_stand_in_ports "$port"
  start_server "$digest" "$port"
  printf '%s\n' "$port" >"$DATA/server.last-port"
  wait_until_ready "$port"
  start_stand_ins "$digest"
  say "Eskiz is running at $(address "$port")"
  if [ -n "$background" ]; then
    ENDINGS=()
    return
  fi
  say "Ctrl+C stops it"
  unlock_data_folder
  stay_with_server
}

report_running() {
  local port
  port=$(cat "$DATA/server.port")
  start_database
  wait_until_ready "$port"
  say "Eskiz is running at $(address "$port")"
  [ -z "${ESKIZ_PORT:-}" ] || [ "$ESKIZ_PORT" = "$port" ] \
    || say "it stays at port $port: to have it at $ESKIZ_PORT, ./eskiz stop first"
  [ -d "$DATA/app/$1" ] || say "it is older than the sources here: ./eskiz stop, then start it anew"
}

# In the foreground until the server ends. A restore stops it, and starts it again: that is waited for.
stay_with_server() {
  while :; do
    while server_pid >/dev/null || keeper_runs; do sleep 1; done
    lock_data_folder
    server_pid >/dev/null || break
    unlock_data_folder
  done
  [ ! -f "$DATA/server.port" ] || fail "the server ended by itself, see $DATA/log/server.log: $(last_error)"
}

stop() {
  data_folder
  if ! [ -d "$DATA" ] || ! is_ours; then
    say "Eskiz is not running"
    return
  fi
  claim_data_folder
  lock_data_folder
  local was
  was=$(server_pid || true)
  stop_stand_ins &
  stop_server
  wait
  find_postgres || true
  if [ -f "$DATA/cluster/PG_VERSION" ]; then
    cluster_refusals
    stop_database
  fi
  if [ -n "$was" ]; then say "Eskiz is stopped"; else say "Eskiz was not running"; fi
}

# Sums up what ran, module by module, from the reports that the runners leave.
count_tests() {
  local reports=$1
  find "$HERE" -path '*/node_modules' -prune -o -path '*/target/*' -name 'TEST-*.xml' -newer "$reports" -print0 \
    | xargs -0 -r sed -n 's/.*<testsuite .*\btests="\([0-9]*\)".*/\0/p' \
    | awk '
        function attribute(name) { return match($0, " " name "=\"[0-9]+") ? substr($0, RSTART + length(name) + 3, RLENGTH - length(name) - 3) : 0 }
        { t += attribute("tests"); f += attribute("failures") + attribute("errors"); s += attribute("skipped") }
        END { printf "%d passed, %d failed, %d skipped\n", t - f - s, f, s; exit (t == 0) }'
}

# nothing may hang on where and in which language the machine stands
FOREIGN="-Duser.language=de -Duser.country=DE -Duser.timezone=Asia/Kathmandu"

run_tests() {
  need_java
  need_postgres
  need_maven
  need_node
  need_chromium
  need_shellcheck
  need_nginx
  local started=$HERE/target/tests-started code=0
  mkdir -p "$HERE/target"
  touch "$started"
  (cd "$HERE" && shellcheck eskiz scripts/*.sh .ci/run e2e/screenshots) || code=$?
  (cd "$HERE" && mvn -B -ntp verify --fail-at-end "-DargLine=$FOREIGN") || code=$?
  say
  count_tests "$started" || code=1
  return "$code"
}
