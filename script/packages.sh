# What must be installed.

pg_bin() {
  local found
  found=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
  [ -n "$found" ] && [ -x "$found/initdb" ] && say "$found"
}

is_installed() {
  case $1 in
    openjdk-17-jdk-headless) command -v javac >/dev/null ;;
    maven) command -v mvn >/dev/null ;;
    postgresql) pg_bin >/dev/null ;;
    chromium-driver) command -v chromedriver >/dev/null ;;
    haproxy) [ -x /usr/sbin/haproxy ] ;;
    python3-shapely) /usr/bin/python3 -c 'import shapely' 2>/dev/null ;;
    *) command -v "$1" >/dev/null ;;
  esac
}

require_packages() {
  local missing=()
  for package in "$@"; do
    is_installed "$package" || missing+=("$package")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  is_root || fail "missing: ${missing[*]}. Install with:
  sudo apt-get update && sudo apt-get install -y ${missing[*]}"
  say "Installing ${missing[*]} ..."
  # Debian's package would start a database of its own on installation; it is not wanted
  mkdir -p /etc/postgresql-common/createcluster.d
  say "create_main_cluster = false" >/etc/postgresql-common/createcluster.d/oleander.conf
  local log
  log=$(mktemp)
  if ! { apt-get update -qq && DEBIAN_FRONTEND=noninteractive \
    apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
    tail -n 20 "$log" >&2
    fail "installing ${missing[*]} failed; the end of its messages stands above"
  fi
  rm -f "$log"
}
