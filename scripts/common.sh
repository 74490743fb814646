# shellcheck shell=bash
# What every part of ./eskiz uses.

say() { printf '%s\n' "$*"; }

fail() {
  printf 'eskiz: %s\n' "$*" >&2
  exit 1
}

is_root() { [ "$(id -u)" -eq 0 ]; }

# What has to be done however this ends, the last one first. Ctrl+C and kill end it like any other exit.
ENDINGS=()
at_exit() { ENDINGS+=("$*"); }

run_endings() {
  local code=$? i
  trap - EXIT INT TERM
  for ((i = ${#ENDINGS[@]} - 1; i >= 0; i--)); do
    eval "${ENDINGS[i]}" || true
  done
  exit "$code"
}
trap run_endings EXIT
trap 'exit 130' INT
trap 'exit 143' TERM

# a.b.c as one number, so that versions compare
version_number() {
  local IFS=. parts
  read -r -a parts <<<"$1"
  printf '%d%03d%03d' "${parts[0]:-0}" "${parts[1]:-0}" "${parts[2]:-0}"
}

at_least() { [ "$(version_number "$1")" -ge "$(version_number "$2")" ]; }

java_program() { printf %s "${JAVA_HOME:+$JAVA_HOME/bin/}$1"; }
