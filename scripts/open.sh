# shellcheck shell=bash
# Letting others in: under which address, by which TLS, and who comes in first.

# What an operator says of it stands in the environment, or in this file of the data folder; the environment comes first.
OPEN_SETTINGS=(ESKIZ_ADDRESS ESKIZ_BIND ESKIZ_TLS_CERTIFICATE ESKIZ_TLS_KEY ESKIZ_BEHIND_PROXY)

open_file() { printf %s "$DATA/open.conf"; }

load_open_settings() {
  local name value
  if [ -f "$(open_file)" ]; then
    while IFS='=' read -r name value; do
      case " ${OPEN_SETTINGS[*]} " in
        *" $name "*) [ -n "${!name+set}" ] || printf -v "$name" %s "$value" ;;
      esac
    done <"$(open_file)"
  fi
  for name in "${OPEN_SETTINGS[@]}"; do
    printf -v "$name" %s "${!name:-}"
    export "${name?}"
  done
  # a proxy stands on this machine, unless it is said where
  [ -n "$ESKIZ_BIND" ] || if has_tls; then ESKIZ_BIND=0.0.0.0; else ESKIZ_BIND=127.0.0.1; fi
  [ -n "$ESKIZ_ADDRESS" ] || [ "$ESKIZ_BIND" = 127.0.0.1 ] || [ "$ESKIZ_BIND" = localhost ] \
    || fail "ESKIZ_BIND must be loopback while there is no sign-in, not \"$ESKIZ_BIND\": ./eskiz open says how to let others in"
}

has_tls() { [ -n "${ESKIZ_TLS_CERTIFICATE:-}" ]; }

check_tls() {
  local file
  if ! has_tls; then
    [ -z "$ESKIZ_TLS_KEY" ] || fail "ESKIZ_TLS_KEY goes with ESKIZ_TLS_CERTIFICATE"
    return 0
  fi
  [ -n "$ESKIZ_TLS_KEY" ] || fail "ESKIZ_TLS_CERTIFICATE goes with ESKIZ_TLS_KEY"
  for file in "$ESKIZ_TLS_CERTIFICATE" "$ESKIZ_TLS_KEY"; do
    case $file in /*) ;; *) fail "$file must be named by its whole path" ;; esac
    as_owner test -r "$file" || fail "$file cannot be read by $OWNER, as whom the server runs"
  done
  openssl x509 -noout -checkend 0 -in "$ESKIZ_TLS_CERTIFICATE" >/dev/null 2>&1 \
    || fail "$ESKIZ_TLS_CERTIFICATE is not a certificate in PEM that still holds"
}

host_of_address() {
  local host=${ESKIZ_ADDRESS#*://}
  host=${host%%/*}
  printf %s "${host%%:*}"
}

# In words, since whoever opens a server wants to know what it stands behind.
say_tls() {
  local names ends
  if has_tls; then
    ends=$(openssl x509 -noout -enddate -in "$ESKIZ_TLS_CERTIFICATE" | sed 's/^notAfter=//')
    say "TLS: its own certificate $ESKIZ_TLS_CERTIFICATE, which ends on $ends"
    names=$(openssl x509 -noout -checkhost "$(host_of_address)" -in "$ESKIZ_TLS_CERTIFICATE" 2>/dev/null || true)
    case $names in *'does match'*) ;; *) say "     it does not name $(host_of_address): browsers will warn" ;; esac
  elif [ -n "$ESKIZ_BEHIND_PROXY" ]; then
    say "TLS: that of the proxy at $ESKIZ_BEHIND_PROXY, which is trusted to say who asks and by which scheme"
  else
    say "TLS: none. Until there is one, other machines are refused: give it a certificate (ESKIZ_TLS_CERTIFICATE, ESKIZ_TLS_KEY)"
    say "     or put it behind a proxy that has one (ESKIZ_BEHIND_PROXY=the proxy's address), and call ./eskiz open again"
  fi
}

keep_open_settings() {
  local name
  for name in "${OPEN_SETTINGS[@]}"; do
    [ -z "${!name}" ] || printf '%s=%s\n' "$name" "${!name}"
  done >"$(open_file)"
  hand_over "$(open_file)"
}

# A link by which the first keeper comes in, or one who has lost their password back in.
keeper_link() {
  local app=$DATA/app/$1
  (
    tell_database eskiz_app eskiz
    cd "$DATA" || exit 1
    as_owner "$(java_program java)" -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -cp "$app/eskiz.jar" \
      org.eskiz.server.operator.signin.KeeperLink 2>"$DATA/log/keeper-link.log"
  ) || fail "the link could not be made, see $DATA/log/keeper-link.log"
}

open_up() {
  [ $# -le 1 ] || { usage >&2; fail "open takes the address under which others reach this server"; }
  need_java
  [ $# -eq 0 ] || ESKIZ_ADDRESS=$1
  shared_database || need_postgres
  data_folder
  if [ -z "${ESKIZ_ADDRESS:-}" ] && ! grep -qs '^ESKIZ_ADDRESS=' "$(open_file)"; then
    read -r -p 'Under which address do others reach it (such as https://club.example): ' ESKIZ_ADDRESS || true
  fi
  load_open_settings
  [[ $ESKIZ_ADDRESS =~ ^https?://[A-Za-z0-9.-]+(:[0-9]+)?$ ]] \
    || fail "the address must be like https://club.example or https://club.example:8443, not \"$ESKIZ_ADDRESS\""
  check_tls
  claim_data_folder
  check_free_space
  lock_data_folder
  local digest was_running
  digest=$(source_digest)
  install_app "$digest"
  { [ -d "$DATA/cluster" ] && database_runs; } || at_exit stop_database
  start_database
  bring_up_schema "$digest"
  keep_open_settings
  was_running=$(server_pid || true)
  say "Eskiz is open under $ESKIZ_ADDRESS and listens on $ESKIZ_BIND; everybody signs in from now on"
  say_tls
  say "The keeper comes in by this link, once and within a day:"
  say "  $ESKIZ_ADDRESS$(keeper_link "$digest")"
  if [ -n "$was_running" ]; then
    stop_server
    ENDINGS=("${ENDINGS[@]/stop_database/}")
    start_again "$digest"
  else
    say "./eskiz start begins"
  fi
}

# Back to one operator on one machine; what belongs to others stays.
close_again() {
  need_java
  need_postgres
  data_folder
  claim_data_folder
  lock_data_folder
  rm -f "$(open_file)"
  say "Eskiz is for this machine alone again, and nobody signs in$(server_pid >/dev/null && printf ': ./eskiz stop, then start it anew')"
}
