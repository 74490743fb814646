# shellcheck shell=bash
# The data folder: whose it is, and that nobody else's is touched.

# The file that says that a folder is Eskiz's own.
MARK=.eskiz

data_folder() {
  if [ -n "${ESKIZ_DATA:-}" ]; then
    DATA=$ESKIZ_DATA
  elif is_root; then
    DATA=/var/lib/eskiz
  else
    DATA=${XDG_DATA_HOME:-$HOME/.local/share}/eskiz
  fi
  case $DATA in /*) ;; *) DATA=$PWD/$DATA ;; esac
  # PostgreSQL refuses to run as root; server and database then run as its unprivileged user.
  if is_root; then
    OWNER=postgres
    AS_OWNER=(setpriv --reuid=postgres --regid=postgres --init-groups)
  else
    OWNER=$(id -un)
    AS_OWNER=()
  fi
}

as_owner() { "${AS_OWNER[@]}" "$@"; }

# What root makes in the data folder is handed over to the one it belongs to.
hand_over() { ! is_root || chown -R "$OWNER" "$@"; }

# A folder that an earlier version made has no mark, but it has a cluster and its password.
is_ours() { [ -e "$DATA/$MARK" ] || { [ -e "$DATA/db.password" ] && [ -d "$DATA/log" ]; }; }

is_empty() { [ -z "$(ls -A "$1")" ]; }

# Owner and mode are changed of a folder that was made here, or that is empty and belongs to whoever starts; never of another.
claim_data_folder() {
  if [ -e "$DATA" ] || [ -L "$DATA" ]; then
    [ -d "$DATA" ] || fail "the data folder $DATA is a file: choose another with ESKIZ_DATA"
    if ! is_ours; then
      is_empty "$DATA" \
        || fail "the folder $DATA is not Eskiz's own and not empty: name one that is, or that does not exist, with ESKIZ_DATA"
      local holder
      holder=$(stat -c %U "$DATA")
      [ "$holder" = "$(id -un)" ] || [ "$holder" = "$OWNER" ] \
        || fail "the data folder $DATA belongs to $holder, not to $OWNER: choose another with ESKIZ_DATA"
    fi
  else
    mkdir -p "$DATA" 2>/dev/null || fail "the data folder $DATA cannot be made: choose another with ESKIZ_DATA"
  fi
  if ! is_ours; then
    ! is_root || chown "$OWNER" "$DATA"
    chmod 700 "$DATA"
  fi
  holder=$(stat -c %U "$DATA")
  [ "$holder" = "$OWNER" ] \
    || fail "the data folder $DATA belongs to $holder, not to $OWNER: choose another with ESKIZ_DATA"
  as_owner test -w "$DATA" \
    || fail "the data folder $DATA cannot be reached by $OWNER: every folder above it must be open to them"
  umask 077 # from here on nobody else reads what is made
  as_owner mkdir -p "$DATA/log" "$DATA/tmp"
  # an earlier version wrote its logs as root
  hand_over "$DATA/log"
  [ -e "$DATA/$MARK" ] || as_owner touch "$DATA/$MARK"
}

# One eskiz at a time works on a data folder.
lock_data_folder() {
  exec 9>>"$DATA/lock"
  hand_over "$DATA/lock"
  flock -w 600 9 || fail "another eskiz is at work on $DATA"
  # left by one that was killed
  as_owner find "$DATA/tmp" -mindepth 1 -delete
}

unlock_data_folder() { exec 9>&-; }

# A folder for what is only needed meanwhile; gone however this ends.
SCRATCH=
make_scratch() {
  SCRATCH=$(as_owner mktemp -d "$DATA/tmp/XXXXXXXX")
  at_exit "rm -rf '$SCRATCH'"
}

free_mb() { df -Pm "$DATA" | awk 'NR == 2 { print $4 }'; }

# A database on a full disk stops in the middle of its work; better not to start it.
LEAST_FREE_MB=24
check_free_space() {
  local free
  free=$(free_mb)
  [ "$free" -ge $LEAST_FREE_MB ] \
    || fail "the disk of $DATA is full: $free MB are free, $LEAST_FREE_MB MB are needed; nothing is lost, make room and start again"
}

random_secret() { head -c 24 /dev/urandom | base64 | tr -d '\n'; }

# A secret of its own in the data folder, made once.
need_secret() {
  [ -s "$DATA/$1" ] && return
  random_secret >"$DATA/$1.new"
  hand_over "$DATA/$1.new"
  mv "$DATA/$1.new" "$DATA/$1"
}
