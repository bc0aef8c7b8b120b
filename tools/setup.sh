# Shared by ./start and ./check: installs what is missing. Sourced from the project's root.
set -euo pipefail
mkdir -p .tmp

say() { printf '\n== %s\n' "$*"; }

if ! command -v node >/dev/null || [ "$(node -p 'process.versions.node.split(".")[0]')" -lt 20 ]; then
  echo "Carnelian needs Node.js 20 or later on the PATH. Install it, then run this again." >&2
  exit 1
fi

install_packages() {
  local stamp
  stamp=$(sha256sum package-lock.json | cut -d' ' -f1)
  if [ ! -d node_modules ] || [ "$(cat node_modules/.carnelian-stamp 2>/dev/null)" != "$stamp" ]; then
    say "Installing packages"
    npm ci --no-audit --no-fund --loglevel=error
    printf '%s' "$stamp" >node_modules/.carnelian-stamp
  fi
}

# The state of everything that goes into the built app, as one sum.
source_sum() {
  find app screens ui state core demo workers public -type f ! -name '*.test.*' -print0 | sort -z | xargs -0 sha256sum |
    cat - entry.ts package-lock.json app.json babel.config.js metro.config.js tools/finish-build.ts | sha256sum | cut -d' ' -f1
}

build_app() {
  local stamp
  stamp=$(source_sum)
  if [ ! -f dist/index.html ] || [ "$(cat .tmp/build-stamp 2>/dev/null)" != "$stamp" ]; then
    say "Building the app"
    rm -f .tmp/build-stamp
    npm run --silent build >.tmp/build.log 2>&1 || { tail -n 60 .tmp/build.log >&2; exit 1; }
    printf '%s' "$stamp" >.tmp/build-stamp
  fi
}

install_chromium() {
  if [ -x /usr/bin/chromium ]; then return; fi
  say "Installing Chromium from Debian's packages"
  local as_root=""
  [ "$(id -u)" -eq 0 ] || as_root="sudo"
  $as_root apt-get update -q
  $as_root apt-get install -y -q --no-install-recommends chromium
}
