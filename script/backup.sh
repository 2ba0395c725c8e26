# Everything into one file and back.

# with_database COMMAND ...: runs it, with a database that is stopped again when it did not run
with_database() {
  local ran=yes code=0
  pg_running "$DATA" || ran=no
  pg_start "$DATA"
  "$@" || code=$?
  [ "$ran" = yes ] || pg_stop "$DATA"
  return $code
}

# verify_database DATABASE SEALS: computes all seals anew and says what was found
verify_database() {
  (
    pg_settings "$DATA" "$1"
    export OLEANDER_SEALS=$2 OLEANDER_PORT=0 OLEANDER_DEMO=$DEMO
    export OLEANDER_CONSOLE=WARN SPRING_MAIN_BANNER_MODE=off
    # shellcheck disable=SC2031
    run_app --oleander.task=verify
  ) 9>&-
}

verify() {
  [ -d "$DATA/postgres" ] || fail "there is nothing to verify in $DATA"
  lock_folder
  # shellcheck disable=SC2086
  require_packages $PACKAGES_RUN
  check_data
  if ! server_process >/dev/null; then
    build_if_changed
    install_app
    give_to_server
  fi
  with_database verify_database oleander "$DATA/seals"
}

backup() {
  local file=${1:-}
  [ -n "$file" ] || usage
  [ ! -e "$file" ] || fail "$file is there already; a backup overwrites nothing"
  [ -d "$DATA/postgres" ] || fail "there is nothing to back up in $DATA"
  lock_folder
  check_data
  local folder
  folder=$(mktemp -d "$DATA/backup.XXXXXX")
  chmod 700 "$folder"
  # shellcheck disable=SC2064
  trap "rm -rf '$folder'" EXIT
  # the head first: what is sealed meanwhile is in the database then, and nothing is missed there
  cp -a "$DATA/seals" "$folder/seals"
  with_database dump_database "$folder/database.dump" || fail "the database cannot be read; see $DATA/postgres.log"
  schema >"$folder/format"
  (cd "$folder" && find . -type f ! -name sums -print0 | LC_ALL=C sort -z | xargs -0 sha256sum >sums)
  (umask 077 && tar -C "$folder" -cf "$file.part" .) || fail "$file cannot be written"
  mv "$file.part" "$file"
  say "Kept in $file, $(du -h "$file" | cut -f 1), with the keys of the seals: keep it where nobody else reads."
}

dump_database() { pg_tool "$DATA" pg_dump -Fc -f "$1" oleander; }

restore() {
  local file=${1:-}
  [ -n "$file" ] || usage
  [ -f "$file" ] || fail "there is no file $file"
  lock_folder
  check_data
  ! server_process >/dev/null || fail "Oleander is running; end it first: ./oleander stop"
  local folder
  folder=$(mktemp -d "$DATA/restore.XXXXXX")
  # shellcheck disable=SC2064
  trap "rm -rf '$folder'" EXIT
  tar -C "$folder" -xf "$file" --no-same-owner 2>/dev/null || fail "$file is no backup, or was cut short. Nothing was changed."
  [ -f "$folder/sums" ] && (cd "$folder" && sha256sum --quiet -c sums >/dev/null 2>&1) ||
    fail "$file is damaged: what it holds is not what was put in. Nothing was changed."
  local format
  format=$(cat "$folder/format")
  [ "$format" -le "$(schema)" ] || fail "$file is of schema $format, made by a newer Oleander; \
this one knows up to $(schema). Nothing was changed."
  prepare
  prepare_quick_start
  bring_back "$folder"
  pg_stop "$DATA"
}

# Beside what is there, and in its place only when all of it verifies.
bring_back() {
  local folder=$1 now
  now=$(date -u +%Y%m%d%H%M%S)
  pg_sql "$DATA" postgres "drop database if exists oleander_restored"
  pg_sql "$DATA" postgres "create database oleander_restored"
  pg_tool "$DATA" pg_restore --no-owner --no-privileges --exit-on-error \
    -d oleander_restored "$folder/database.dump" || fail "the database of the backup cannot be laid back. Nothing was changed."
  pg_database "$DATA" oleander_restored
  chmod 755 "$folder"
  if is_root; then chown -R "$(server_user)": "$folder/seals"; fi
  if ! verify_database oleander_restored "$folder/seals"; then
    pg_sql "$DATA" postgres "drop database oleander_restored"
    pg_stop "$DATA"
    fail "not every release of the backup verifies; what is wrong stands above. Nothing was changed."
  fi
  pg_sql "$DATA" postgres "alter database oleander rename to oleander_before_$now"
  pg_sql "$DATA" postgres "alter database oleander_restored rename to oleander"
  mv "$DATA/seals" "$DATA/seals.before_$now"
  mv "$folder/seals" "$DATA/seals"
  give_to_server
  say "Restored. What was there before is kept: database oleander_before_$now, folder seals.before_$now."
}
