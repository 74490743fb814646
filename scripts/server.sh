# shellcheck shell=bash
# The server and the stand-ins for instruments, as processes of their own.
# shellcheck disable=SC2030,SC2031 # what a started program is told stays with it
# process_of NAME: its number, while it is one of ours; a number may have been given to another program since
process_of() {
  local pid
  pid=$(cat "$DATA/$1.pid" 2>/dev/null) || return 1
  tr '\0' ' ' 2>/dev/null <"/proc/$pid/cmdline" | grep -qF "$DATA/app/" && printf %s "$pid"
}

server_pid() { process_of server; }

keeper_runs() { process_of keeper >/dev/null; }

# Where the server listens, for one who asks from this machine.
own_host() {
  case ${ESKIZ_BIND:-127.0.0.1} in 0.0.0.0 | :: | localhost) printf 127.0.0.1 ;; *) printf %s "$ESKIZ_BIND" ;; esac
}

server_answers() {
  local port=$1 line host
  host=$(own_host)
  if has_tls; then
    line=$(printf 'GET /actuator/health/readiness HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' \
      | timeout 5 openssl s_client -quiet -connect "$host:$port" 2>/dev/null | head -n 1 || true)
    [[ $line == *' 200 '* ]]
    return
  fi
  {
    exec 3<>"/dev/tcp/$host/$port" || return 1
    printf 'GET /actuator/health/readiness HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3
    IFS= read -r -t 5 line <&3 || true
    exec 3>&-
  } 2>/dev/null
  [[ ${line:-} == *' 200 '* ]]
}

# Where the stand-ins are; empty for one that was left out.
ANALYSER=
WATTMETER=

# start_server DIGEST PORT. A keeper starts it again when it runs out of memory.
start_server() {
  local app=$DATA/app/$1 archive=$DATA/app/$1/classes.jsa port=$2 jvm
  port_is_taken "$port" && fail "port $port is taken by another program: choose another with ESKIZ_PORT"
  # The first start writes the archive when it ends, every later one reads it. One of several is to end quickly.
  if [ -f "$archive" ]; then
    jvm=-XX:SharedArchiveFile=$archive
  elif shared_database; then
    jvm=-Xshare:auto
  else
    jvm=-XX:ArchiveClassesAtExit=$archive
  fi
  rm -f "$DATA/server.pid" "$DATA/log/server.out"
  printf '%s\n' "$port" >"$DATA/server.port"
  printf '%s %s %s\n' "${WITH_DEMO:-false}" "${ANALYSER:--}" "${WATTMETER:--}" >"$DATA/server.options"
  (
    cd "$DATA" || exit 1
    if shared_database; then
      export ESKIZ_OWN_DATABASE=false ESKIZ_DRAIN=${ESKIZ_DRAIN:-3s}
    else
      export ESKIZ_OWN_DATABASE=true
    fi
    tell_database eskiz_app eskiz
    export ESKIZ_PORT=$port ESKIZ_DEMO=${WITH_DEMO:-false}
    export ESKIZ_ANALYSER_PORT=$ANALYSER ESKIZ_WATTMETER_PORT=$WATTMETER
    export ESKIZ_LOG=$DATA/log ESKIZ_LOG_FILE=$DATA/log/server.log LOGGING_THRESHOLD_CONSOLE=OFF
    exec "${AS_OWNER[@]}" setsid bash "$app/keep-server.sh" "$DATA/server.pid" "$DATA/log/server.out" \
      "$(java_program java)" -XX:+UseSerialGC -Xmx256m -XX:+ExitOnOutOfMemoryError "$jvm" -Xlog:disable \
      -Dspring.aot.enabled=true -jar "$app/eskiz.jar" >/dev/null 2>&1 9>&-
  ) &
  printf '%s\n' $! >"$DATA/keeper.pid"
}

wait_until_ready() {
  local port=$1
  sleep 0.3 # until the programs stand behind their process numbers
  for tenths in $(seq 6000); do
    server_pid >/dev/null || keeper_runs || fail "the server does not come up, see $DATA/log/server.log: $(last_error)"
    server_answers "$port" && return
    [ "$tenths" -ne 300 ] || say "this machine is busy: the server is still coming up"
    sleep 0.1
  done
  fail "the server does not answer after ten minutes, see $DATA/log/server.log"
}

last_error() {
  cat "$DATA/log/server.log" "$DATA/log/server.out" 2>/dev/null \
    | grep -E 'ERROR|Caused by|APPLICATION FAILED' | tail -n 1 | cut -c1-300
}

# end_process NAME TENTHS: by itself within so many tenths of a second, or killed
end_process() {
  local pid
  if pid=$(process_of "$1"); then
    kill "$pid" 2>/dev/null || true
    for _ in $(seq "$2"); do
      kill -0 "$pid" 2>/dev/null || break
      sleep 0.1
    done
    kill -9 "$pid" 2>/dev/null || true
  fi
  rm -f "$DATA/$1.pid"
}

stop_server() {
  end_process server 300
  end_process keeper 20
  rm -f "$DATA/server.port"
}

# As it was started last.
start_again() {
  local analyser wattmeter
  load_open_settings
  read -r WITH_DEMO analyser wattmeter <"$DATA/server.options"
  ANALYSER=${analyser#-} WATTMETER=${wattmeter#-}
  local port=${ESKIZ_PORT:-8080}
  [ ! -f "$DATA/server.last-port" ] || port=$(cat "$DATA/server.last-port")
  bring_up_schema "$1"
  start_server "$1" "$port"
  wait_until_ready "$port"
  say "Eskiz is running at $(address "$port")"
}

# ---------------------------------------------------------------- stand-ins for instruments

# Which ports they will have; none for one whose port is taken: the bench goes on with what is typed.
find_stand_in_ports() {
  local port=$1 beside=5024
  [ "$WITH_DEMO" = true ] || return 0
  [ "$port" -eq 8080 ] || beside=$port
  ANALYSER=$(free_port_for analyser "${ESKIZ_ANALYSER_PORT:-$((beside + 1))}")
  WATTMETER=$(free_port_for wattmeter "${ESKIZ_WATTMETER_PORT:-$((beside + 2))}")
}

free_port_for() {
  if process_of "$1" >/dev/null || ! port_is_taken "$2"; then
    printf %s "$2"
  else
    say "the stand-in $1 is left out: port $2 is taken by another program" >&2
  fi
}

# Each is a program of its own at a port of this machine. Nobody needs one before the bench is open: they wait for the server.
start_stand_ins() {
  [ -z "$ANALYSER" ] || start_stand_in analyser AnalyserProgram "$ANALYSER" "$1"
  [ -z "$WATTMETER" ] || start_stand_in wattmeter WattmeterProgram "$WATTMETER" "$1"
}

start_stand_in() {
  local name=$1 program=$2 port=$3 app=$DATA/app/$4
  process_of "$name" >/dev/null && return
  (
    cd "$DATA" || exit 1
    exec "${AS_OWNER[@]}" setsid "$(java_program java)" -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Xmx64m \
      -cp "$app/lib/*" "org.eskiz.instruments.$program" "$port" >"$DATA/log/$name.log" 2>&1 9>&-
  ) &
  printf '%s\n' $! >"$DATA/$name.pid"
}

# They keep nothing that would have to be put away.
stop_stand_ins() {
  end_process analyser 0
  end_process wattmeter 0
}
