# Shared by bin/start, bin/test and bin/chromata: what must be on the machine, and how it gets there. Source it.
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd -P)"
VAR="${CHROMATA_VAR:-$ROOT/var}"
VENV="$ROOT/.venv"
mkdir -p "$VAR"
unset PYTHONDONTWRITEBYTECODE  # compiled files are what makes a second start quick

say() { printf '%s\n' "$*"; }
fail() { printf 'Stopped: %s\n' "$*" >&2; exit 1; }
# The last net: nothing ends without a word.
set -E; trap 'printf "Stopped: “%s” failed (%s, line %s).\n" "$BASH_COMMAND" "${BASH_SOURCE[0]##*/}" "$LINENO" >&2' ERR

# Installs the Debian packages that are not there yet: as root, or through sudo.
debian() {
  local missing=() name
  for name in "$@"; do dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || missing+=("$name"); done
  [ ${#missing[@]} = 0 ] && return 0
  say "Installing Debian packages: ${missing[*]} …"
  local run=()
  if [ "$(id -u)" != 0 ]; then
    command -v sudo >/dev/null || fail "these Debian packages are missing and there is no sudo: apt-get install ${missing[*]}"
    run=(sudo)
  fi
  { "${run[@]}" apt-get update -qq && "${run[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } \
    >"$VAR/apt.log" 2>&1 || fail "apt-get could not install ${missing[*]}; see $VAR/apt.log"
}

# A Python 3.11 or newer that can make virtual environments.
python_ready() {
  PYTHON="${CHROMATA_PYTHON:-}"
  local candidate
  for candidate in python3.11 python3 python3.12 python3.13 /usr/bin/python3; do
    [ -n "$PYTHON" ] && break
    command -v "$candidate" >/dev/null && "$candidate" -c 'import sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null && PYTHON="$candidate"
  done
  if [ -z "$PYTHON" ]; then
    command -v apt-get >/dev/null || fail "Python 3.11 or newer is needed."
    debian python3; PYTHON=python3
  fi
  "$PYTHON" -c 'import ensurepip' 2>/dev/null || debian python3-venv
}

# Python packages into .venv, by the given requirements file; skipped while that file is unchanged.
python_packages() {
  local file="$ROOT/$1" stamp
  stamp="$VENV/.installed-$(sha256sum "$file" | cut -c1-16)"
  [ -f "$stamp" ] && return 0
  [ "$1" = requirements.txt ] && [ -f "$VENV/.installed-$(sha256sum "$ROOT/requirements-dev.txt" | cut -c1-16)" ] && return 0
  python_ready
  say "Installing Python packages ($1) …"
  [ -x "$VENV/bin/python" ] && "$VENV/bin/python" -c '' 2>/dev/null || { rm -rf "$VENV"; "$PYTHON" -m venv "$VENV" >"$VAR/pip.log" 2>&1; } \
    || fail "no virtual environment could be made; see $VAR/pip.log"
  # uv is much quicker; pip does the same where uv cannot.
  { "$VENV/bin/python" -m pip install -q --disable-pip-version-check uv==0.13.9 && "$VENV/bin/uv" pip install -q --python "$VENV/bin/python" -r "$file"; } \
    >"$VAR/pip.log" 2>&1 || "$VENV/bin/python" -m pip install -q --disable-pip-version-check -r "$file" >>"$VAR/pip.log" 2>&1 \
    || fail "the Python packages could not be installed; see $VAR/pip.log"
  rm -f "$VENV"/.installed-*; touch "$stamp"
}

node_ready() {
  command -v node >/dev/null && command -v npm >/dev/null || fail "Node 20 or newer with npm is needed to build the front end; install it and start again."
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node 20 or newer is needed; this one is $(node --version)."
}

web_packages() {
  local stamp; stamp="$ROOT/web/node_modules/.installed-$(sha256sum "$ROOT/web/package-lock.json" | cut -c1-16)"
  [ -f "$stamp" ] && return 0
  node_ready
  say "Installing npm packages by lock file …"
  (cd "$ROOT/web" && npm ci --no-audit --no-fund) >"$VAR/npm.log" 2>&1 || fail "npm ci failed; see $VAR/npm.log"
  touch "$stamp"
}

web_build() {
  local now stamp="$VAR/web.stamp"
  now="$(cd "$ROOT/web" && { find src index.html vite.config.ts service-worker.ts package-lock.json tsconfig.json -type f | LC_ALL=C sort | xargs sha256sum; } | sha256sum | cut -c1-32)"
  [ -f "$ROOT/web/dist/index.html" ] && [ "$(cat "$stamp" 2>/dev/null)" = "$now" ] && return 0
  node_ready
  say "Building the front end …"
  (cd "$ROOT/web" && npm run -s build) >"$VAR/vite.log" 2>&1 || fail "the front end does not build; see $VAR/vite.log"
  rm -f "$VAR/static.stamp"; printf '%s' "$now" >"$stamp"
}

# The server's secret, also where no database was started here yet (see bin/pg). A department sets CHROMATA_SECRET.
secret_ready() { [ -s "$VAR/secret.key" ] || (umask 077; od -An -N40 -tx1 /dev/urandom | tr -d ' \n' >"$VAR/secret.key"); }

postgres_ready() { ls -d /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || debian postgresql; }
pdf_ready() { debian libpango-1.0-0 libpangoft2-1.0-0 libharfbuzz-subset0; }
