#!/usr/bin/env bash
# Runs the server, and again when it ran out of memory: keep-server.sh PID_FILE OUTPUT COMMAND...
set -u
pid_file=$1
output=$2
shift 2

OUT_OF_MEMORY=3 # what -XX:+ExitOnOutOfMemoryError ends with
MOST_IN_A_ROW=5
child=
trap '[ -z "$child" ] || kill "$child" 2>/dev/null' TERM INT

in_a_row=0
while :; do
  began=$SECONDS
  "$@" >>"$output" 2>&1 &
  child=$!
  printf '%s\n' "$child" >"$pid_file.new" && mv "$pid_file.new" "$pid_file"
  code=0
  wait "$child" || code=$?
  # a signal ends the wait, not yet the server
  while kill -0 "$child" 2>/dev/null; do
    code=0
    wait "$child" || code=$?
  done
  [ "$code" -eq $OUT_OF_MEMORY ] || exit "$code"
  if [ $((SECONDS - began)) -lt 60 ]; then in_a_row=$((in_a_row + 1)); else in_a_row=0; fi
  [ "$in_a_row" -lt $MOST_IN_A_ROW ] || exit "$code"
  echo "the server ran out of memory and is started again" >>"$output"
done
