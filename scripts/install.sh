# shellcheck shell=bash
# What has to be on the machine.

LEAST_NODE=20.19.0
LEAST_JAVA=17

APT_UPDATED=
renew_package_list() {
  [ -z "$APT_UPDATED" ] || return 0
  local as=()
  is_root || as=(sudo)
  "${as[@]}" apt-get update >/dev/null 2>&1 || say "the list of packages could not be renewed; trying with the old one"
  APT_UPDATED=yes
}

install_packages() {
  local as=() log
  if ! is_root; then
    command -v sudo >/dev/null || fail "$* must be installed: run as root, or install sudo"
    as=(sudo)
  fi
  command -v apt-get >/dev/null || fail "$* must be installed, and apt-get is not here: install it by hand"
  say "installing $*"
  log=$(mktemp)
  at_exit "rm -f '$log'"
  renew_package_list
  "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@" >"$log" 2>&1 \
    || fail "Debian's packages $* could not be installed: $(grep -m1 '^E:' "$log" || tail -n 1 "$log")"
}

java_version() { { "$(java_program javac)" -version 2>&1 || true; } | sed -n 's/^javac \([0-9]*\).*/\1/p'; }

need_java() {
  local found
  found=$(java_version)
  [ "${found:-0}" -ge $LEAST_JAVA ] && return
  unset JAVA_HOME
  install_packages default-jdk-headless
  found=$(java_version)
  [ "${found:-0}" -ge $LEAST_JAVA ] || fail "a JDK of at least $LEAST_JAVA is needed; Debian's is ${found:-missing}"
}

need_maven() { command -v mvn >/dev/null || install_packages maven; }

POSTGRES_BIN=
find_postgres() {
  local bin
  POSTGRES_BIN=
  for bin in $(printf '%s\n' /usr/lib/postgresql/*/bin | sort -V); do
    if [ -x "$bin/initdb" ]; then POSTGRES_BIN=$bin; fi
  done
  [ -n "$POSTGRES_BIN" ]
}

need_postgres() {
  find_postgres && return
  # Debian would start a cluster of its own; this application keeps to its private one.
  local as=()
  is_root || as=(sudo)
  "${as[@]}" mkdir -p /etc/postgresql-common/createcluster.d
  echo 'create_main_cluster = false' | "${as[@]}" tee /etc/postgresql-common/createcluster.d/eskiz.conf >/dev/null
  install_packages postgresql
  find_postgres || fail "PostgreSQL was installed, but there is no initdb under /usr/lib/postgresql"
}

node_version() { { node --version 2>/dev/null || true; } | tr -d v; }

node_suffices() { local v; v=$(node_version); [ -n "$v" ] && at_least "$v" $LEAST_NODE; }

# Where Debian's Node is too old, the registry's own package of Node is kept in the checkout.
need_node() {
  local tools=$HERE/.tools
  [ -x "$tools/node_modules/node/bin/node" ] && PATH=$tools/node_modules/node/bin:$PATH
  node_suffices && command -v npm >/dev/null && return
  command -v npm >/dev/null || install_packages nodejs npm
  node_suffices && return
  say "installing Node"
  mkdir -p "$tools"
  npm install --prefix "$tools" --no-save --no-fund --no-audit node@22 >"$tools/install.log" 2>&1 \
    || fail "Node of at least $LEAST_NODE could not be installed: $(tail -n 1 "$tools/install.log")"
  PATH=$tools/node_modules/node/bin:$PATH
  node_suffices || fail "Node of at least $LEAST_NODE is needed, found $(node_version)"
}

need_chromium() { command -v chromium >/dev/null || install_packages chromium; }

# For the tests of several servers behind a proxy. Unpacked and not installed: installed, it would begin to listen.
need_nginx() {
  local tools=$HERE/.tools/nginx package
  if command -v nginx >/dev/null || [ -x "$tools/usr/sbin/nginx" ]; then return; fi
  command -v apt-get >/dev/null || fail "nginx must be installed, and apt-get is not here: install it by hand"
  renew_package_list
  say "unpacking nginx"
  mkdir -p "$tools"
  (cd "$tools" && apt-get download nginx && for package in ./*.deb; do dpkg-deb -x "$package" .; done) >"$tools/unpack.log" 2>&1 \
    || fail "Debian's package nginx could not be unpacked: $(tail -n 1 "$tools/unpack.log")"
}

need_shellcheck() { command -v shellcheck >/dev/null || install_packages shellcheck; }
