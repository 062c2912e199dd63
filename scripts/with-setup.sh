#!/usr/bin/env bash
# Installs what is missing on a fresh Debian machine, then runs a script of the project.
#   with-setup.sh run|test SCRIPT [ARGUMENTS]
# "run" needs the npm packages and PostgreSQL; "test" needs Chromium too.
set -euo pipefail
cd "$(dirname "$0")/.."
mode=$1
script=$2
shift 2

say() { printf '%s\n' "incremen: $*" >&2; }

node_ok=$(node -p 'const [a,b]=process.versions.node.split(".").map(Number); a>20||(a===20&&b>=19)' 2>/dev/null || echo false)
if [ "$node_ok" != true ]; then
  say "Node.js 20.19 or newer is needed; found $(node --version 2>/dev/null || echo none)."
  exit 1
fi

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else
    say "Root rights are needed to install Debian packages. Run as root, or install sudo."
    exit 1
  fi
}

apt_updated=
apt_install() {
  if ! command -v apt-get >/dev/null; then
    say "$1 is missing, and this machine has no apt-get. Install it by hand."
    exit 1
  fi
  say "Installing $1 from Debian's packages…"
  if [ -z "$apt_updated" ]; then
    as_root apt-get update -q >&2
    apt_updated=1
  fi
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -yq --no-install-recommends "$1" >&2
}

if [ ! -e node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  say "Installing npm packages…"
  npm ci --no-audit --no-fund >&2
  touch node_modules/.package-lock.json
fi

if [ -z "${PG_BIN:-}" ] && ! ls /usr/lib/postgresql/*/bin/postgres >/dev/null 2>&1; then
  # Written before the package comes, so that it makes no cluster of its own and starts nothing.
  as_root mkdir -p /etc/postgresql-common/createcluster.d
  echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.d/no-default.conf >/dev/null
  apt_install postgresql-15
fi

if [ "$mode" = test ] && [ -z "${CHROMIUM:-}" ] && [ ! -x /usr/bin/chromium ]; then
  apt_install chromium
fi
# For a phone in a network of its own, which is told whom to trust.
if [ "$mode" = test ]; then
  command -v ip >/dev/null || apt_install iproute2
  command -v certutil >/dev/null || apt_install libnss3-tools
fi

exec node_modules/.bin/tsx "$script" "$@"
