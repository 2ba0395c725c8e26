# The data folder: what it holds, who may be at it.

readonly LOG_BYTES=10000000

# The newest schema that this version knows: the number of its last migration.
schema() {
  ls "$TOP"/web/src/main/resources/db/migration/V*__*.sql |
    sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1
}

check_data() {
  mkdir -p "$DATA" || fail "the data folder $DATA cannot be made; set OLEANDER_HOME"
  local format pg_has pg_is
  if [ -f "$DATA/format" ]; then
    format=$(cat "$DATA/format")
    [ "$format" -le "$(schema)" ] || fail "the data folder $DATA is of schema $format, made by a newer \
Oleander; this one knows up to $(schema). Nothing was changed: use the newer version, or another folder with OLEANDER_HOME."
  fi
  if [ -f "$DATA/postgres/PG_VERSION" ]; then
    pg_has=$(cat "$DATA/postgres/PG_VERSION")
    pg_is=$("$(pg_bin)/postgres" --version | sed 's/[^0-9]*\([0-9]*\).*/\1/')
    [ "$pg_has" = "$pg_is" ] || fail "the data folder $DATA was made with PostgreSQL $pg_has, installed is \
$pg_is. Nothing was changed: install postgresql-$pg_has, or set OLEANDER_HOME to a new folder."
  fi
}

# One command at a time works at a folder: two starts at once would stop each other.
lock_folder() {
  mkdir -p "$DATA" || fail "the data folder $DATA cannot be made; set OLEANDER_HOME"
  exec 9>"$DATA/lock"
  flock -w "${1:-0}" 9 ||
    fail "another start, stop, backup or restore is at work in $DATA. Wait until it is done."
}

unlock_folder() { exec 9>&-; }

# keep_small LOG: puts a long log aside; the one put aside before goes
keep_small() {
  local size
  size=$(stat -c %s "$1" 2>/dev/null) || return 0
  [ "$size" -lt "$LOG_BYTES" ] || mv -f "$1" "$1.1"
}

# Who the server runs as: not root. The user is made when it is missing.
server_user() {
  getent passwd oleander >/dev/null ||
    useradd --system --user-group --no-create-home --home-dir / --shell /usr/sbin/nologin oleander
  say oleander
}

# as_server PROGRAM ...: in the data folder, without what root may do
as_server() {
  cd "$DATA"
  if is_root; then
    exec setpriv --reuid="$(server_user)" --regid=oleander --init-groups --no-new-privs -- "$@"
  else
    exec "$@"
  fi
}

# What the server writes to belongs to its user; passwords of the database do not.
give_to_server() {
  mkdir -p "$DATA/logs" "$DATA/seals" "$DATA/work"
  chmod 700 "$DATA/seals"
  is_root || return 0
  chown -R "$(server_user)": "$DATA/logs" "$DATA/seals" "$DATA/work"
  (as_server test -x "$DATA/logs") 2>/dev/null || fail "the user $(server_user) cannot reach the \
data folder $DATA; give others the right to enter the folders above it, or set OLEANDER_HOME."
}

new_seal_key() {
  [ -d "$DATA/seals" ] || fail "there are no seals in $DATA yet"
  local last
  last=$(ls "$DATA"/seals/key-* 2>/dev/null | sed 's/.*key-0*//' | sort -n | tail -n 1)
  local file
  file="$DATA/seals/key-$(printf '%04d' $((${last:-0} + 1)))"
  (umask 077 && random_hex 32 >"$file.new")
  if is_root; then chown "$(server_user)": "$file.new"; fi
  mv -n "$file.new" "$file"
  say "$file seals from now on. Keep all keys: earlier releases are verified with theirs."
}
