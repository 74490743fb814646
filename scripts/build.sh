# shellcheck shell=bash
# Building, and the copy of the build that runs.

source_digest() {
  (cd "$HERE" && find pom.xml scripts core instruments server web \
      \( -name target -o -name node_modules -o -name dist -o -path '*/src/test' \) -prune -o -type f -print0 \
    | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -c1-16)
}

build() {
  need_maven
  need_node
  say "building"
  local log=$HERE/target/build.log
  { mkdir -p "$HERE/target" && touch "$log"; } 2>/dev/null \
    || fail "$HERE/target cannot be written by $(id -un): it was built by somebody else"
  (cd "$HERE" && umask 022 && mvn -B -q -DskipTests -Dspotless.check.skip package -pl server -am) >"$log" 2>&1 \
    || fail "the build failed, see $log: $(grep -m1 -E '^\[ERROR\]|^npm error' "$log" || tail -n 1 "$log")"
}

# The server runs from a copy in the data folder, so that a build never pulls it away. Extracted and with an archive of
# its classes it is ready in a third of the time.
install_app() {
  local digest=$1 app=$DATA/app/$1 new=$DATA/app/.new jars
  [ -d "$app" ] && return
  [ -n "${ESKIZ_BUILT:-}" ] || build # the tests have just built it
  say "installing the build"
  as_owner mkdir -p "$DATA/app"
  rm -rf "$new"
  jars=("$HERE"/server/target/eskiz-server-*-app.jar)
  "$(java_program java)" -Djarmode=tools -jar "${jars[0]}" \
    extract --destination "$new" --application-filename eskiz.jar >/dev/null
  (cd "$new" && "$(java_program jar)" xf eskiz.jar db/roles.sql)
  "$(java_program jar)" tf "$new/eskiz.jar" | sed -n 's#^db/migration/V\([0-9]*\)__.*#\1#p' | sort -n >"$new/migrations"
  cp "$HERE/scripts/keep-server.sh" "$new/keep-server.sh"
  hand_over "$new"
  mv "$new" "$app"
  find "$DATA/app" -mindepth 1 -maxdepth 1 ! -name "$digest" -exec rm -rf {} +
}

newest_migration() { tail -n 1 "$DATA/app/$1/migrations"; }
