# PostgreSQL on loopback. Its superuser is called oleander and is used by this script only; tables
# belong to oleander_owner, and the application works as oleander_app, which owns nothing.

# As root: as the user that Debian's package made, since PostgreSQL refuses to run as root.
as_pg() { if is_root; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

random_hex() { head -c "$1" /dev/urandom | od -An -tx1 | tr -d ' \n'; }

# pg_make FOLDER: a new cluster with a random password beside it
pg_make() {
  local folder=$1 bin
  bin=$(pg_bin)
  (umask 077 && random_hex 24 >"$folder/db-password")
  mkdir -p "$folder/postgres"
  cp "$folder/db-password" "$folder/postgres.pw"
  if is_root; then chown -R postgres "$folder/postgres" "$folder/postgres.pw"; fi
  as_pg "$bin/initdb" -D "$folder/postgres" -U oleander --pwfile="$folder/postgres.pw" \
    --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 >"$folder/initdb.log" 2>&1 ||
    fail "the database could not be made: $(tail -n 3 "$folder/initdb.log")"
  rm -f "$folder/postgres.pw"
}

# The number in its file may be another process's by now.
pg_running() {
  local pid
  read -r pid 2>/dev/null <"$1/postgres/postmaster.pid" &&
    [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$(realpath "$1/postgres")" ]
}

# pg_start FOLDER [extra settings]: starts the cluster unless it runs; its port stands in db-port
pg_start() {
  local folder=$1 port
  shift
  pg_running "$folder" && return 0
  port=$(cat "$folder/db-port" 2>/dev/null || free_port)
  if port_in_use "$port"; then port=$(free_port); fi
  say "$port" >"$folder/db-port"
  keep_small "$folder/postgres.log"
  touch "$folder/postgres.log"
  if is_root; then chown postgres "$folder/postgres.log"; fi
  # the lock of this script is none of the database's
  as_pg "$(pg_bin)/pg_ctl" -D "$folder/postgres" -w -t 60 -l "$folder/postgres.log" \
    -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $*" start \
    >/dev/null 9>&- ||
    fail "PostgreSQL does not start; see $folder/postgres.log. Your data is untouched."
}

pg_stop() {
  if pg_running "$1"; then
    as_pg "$(pg_bin)/pg_ctl" -D "$1/postgres" -m fast -w -t 60 stop >/dev/null ||
      fail "PostgreSQL does not stop; see $1/postgres.log"
  fi
}

# pg_tool FOLDER PROGRAM ...: one of PostgreSQL's programs as its superuser
pg_tool() {
  local folder=$1 program=$2
  shift 2
  PGOPTIONS="-c client_min_messages=warning" PGPASSWORD=$(cat "$folder/db-password") \
    "$(pg_bin)/$program" -h 127.0.0.1 \
    -p "$(cat "$folder/db-port")" -U oleander "$@"
}

# pg_sql FOLDER DATABASE STATEMENTS
pg_sql() { pg_tool "$1" psql -qAt -v ON_ERROR_STOP=1 -d "$2" -c "$3"; }

pg_exists() { [ "$(pg_sql "$1" postgres "select 1 from pg_database where datname = '$2'")" = 1 ]; }

# pg_role FOLDER ROLE: makes it and its password, kept beside the database
pg_role() {
  local file="$1/db-$2-password"
  [ -s "$file" ] || (umask 077 && random_hex 24 >"$file")
  [ "$(pg_sql "$1" postgres "select 1 from pg_roles where rolname = '$2'")" = 1 ] ||
    pg_sql "$1" postgres "create role $2 login nosuperuser nocreatedb nocreaterole"
  pg_sql "$1" postgres "alter role $2 password '$(cat "$file")'"
}

# pg_database FOLDER DATABASE: makes it when there is none, and gives it and what is in it to its owner
pg_database() {
  pg_role "$1" oleander_owner
  pg_role "$1" oleander_app
  pg_exists "$1" "$2" || pg_sql "$1" postgres "create database $2"
  pg_sql "$1" postgres "alter database $2 owner to oleander_owner;
    revoke create, temporary on database $2 from public"
  pg_sql "$1" "$2" "
    alter schema public owner to oleander_owner;
    do \$\$ declare one record; begin
      for one in select c.oid::regclass as name, c.relkind as kind from pg_class c
          where c.relnamespace = 'public'::regnamespace and c.relowner = 'oleander'::regrole
            and c.relkind in ('r', 'v') loop
        execute format('alter %s %s owner to oleander_owner',
          case one.kind when 'v' then 'view' else 'table' end, one.name);
      end loop;
      for one in select c.oid::regclass as name from pg_class c
          where c.relnamespace = 'public'::regnamespace and c.relowner = 'oleander'::regrole
            and c.relkind = 'S' loop
        execute format('alter sequence %s owner to oleander_owner', one.name);
      end loop;
      for one in select p.oid::regprocedure as name from pg_proc p
          where p.pronamespace = 'public'::regnamespace and p.proowner = 'oleander'::regrole loop
        execute format('alter function %s owner to oleander_owner', one.name);
      end loop;
    end \$\$"
}

# pg_settings FOLDER DATABASE: where the application finds it, as environment
pg_settings() {
  export OLEANDER_DB_URL OLEANDER_DB_USER OLEANDER_DB_PASSWORD
  export OLEANDER_DB_OWNER OLEANDER_DB_OWNER_PASSWORD
  OLEANDER_DB_URL="jdbc:postgresql://127.0.0.1:$(cat "$1/db-port")/$2"
  OLEANDER_DB_USER=oleander_app
  OLEANDER_DB_PASSWORD=$(cat "$1/db-oleander_app-password")
  OLEANDER_DB_OWNER=oleander_owner
  OLEANDER_DB_OWNER_PASSWORD=$(cat "$1/db-oleander_owner-password")
}

SCRATCH=
drop_scratch() {
  [ -z "$SCRATCH" ] && return
  pg_stop "$SCRATCH" || true
  rm -rf "$SCRATCH"
}

# A throw-away cluster for tests; it need not survive a power cut.
scratch_database() {
  SCRATCH=$(mktemp -d "${TMPDIR:-/tmp}/oleander.XXXXXX")
  chmod 755 "$SCRATCH"
  trap drop_scratch EXIT
  trap 'exit 130' INT TERM
  pg_make "$SCRATCH"
  pg_start "$SCRATCH" "-c fsync=off -c synchronous_commit=off -c full_page_writes=off"
  pg_database "$SCRATCH" oleander
  pg_settings "$SCRATCH" oleander
  export OLEANDER_SEALS="$SCRATCH/seals"
}
