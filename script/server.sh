# Server processes, the proxy before several of them, and who looks after them.

# After so many ends of a node within ten minutes it is not begun again.
readonly MOST_ENDS=${OLEANDER_MOST_ENDS:-5}

# Half of the machine's memory is for all nodes together, in MB.
heap_of_node() {
  local total
  total=$(awk '/^MemTotal/ { print int($2 / 1024) }' /proc/meminfo)
  local heap=$((total / 2 / NODES))
  [ "$heap" -ge 512 ] || heap=512
  say "$heap"
}

# run_app ...: the application with the environment that is there; further words go to it
run_app() {
  # shellcheck disable=SC2086
  as_server java "-Xmx$(heap_of_node)m" -XX:+UseG1GC -XX:MaxGCPauseMillis=60 -XX:+ExitOnOutOfMemoryError \
    -Xshare:auto -XX:SharedArchiveFile="$DATA/app/classes.jsa" -Djava.io.tmpdir="$DATA/work" \
    ${OLEANDER_JAVA_OPTIONS:-} -jar "$DATA/app/oleander-app.jar" "$@"
}

node_port() { if [ "$NODES" = 1 ]; then say "$PORT"; else cat "$DATA/node-$1.port"; fi; }

start_node() {
  local n=$1
  keep_small "$DATA/logs/node-$n.console.log"
  (
    # details are for those who are on the machine
    export MANAGEMENT_SERVER_ADDRESS=127.0.0.1 MANAGEMENT_ENDPOINT_HEALTH_SHOW_DETAILS=always
    export OLEANDER_PORT MANAGEMENT_SERVER_PORT OLEANDER_ADDRESS OLEANDER_LOG OLEANDER_CONSOLE
    OLEANDER_PORT=$(node_port "$n")
    MANAGEMENT_SERVER_PORT=$(cat "$DATA/node-$n.management")
    OLEANDER_ADDRESS=$([ "$NODES" = 1 ] && say "$ADDRESS" || say 127.0.0.1)
    OLEANDER_LOG="$DATA/logs/node-$n.log" OLEANDER_CONSOLE=WARN
    run_app
  ) >>"$DATA/logs/node-$n.console.log" 2>&1 </dev/null &
  note_process "$DATA/node-$n.pid" $!
}

# A well-known proxy spreads jobs over the nodes and leaves out those that do not answer. Any node
# could serve any request; it only saves plans that would be made twice.
start_proxy() {
  {
    cat <<CFG
global
  maxconn 2000
defaults
  mode http
  maxconn 2000
  option forwardfor
  option redispatch
  # a node is to see that a person has left
  option abortonclose
  retries 3
  timeout connect 2s
  timeout http-request 10s
  timeout http-keep-alive 30s
  timeout client 60s
  timeout server 120s
frontend people
  bind $ADDRESS:$PORT
  http-request set-var(txn.about) path
  http-request set-var(txn.about) path,field(3,/) if { path_beg /jobs/ }
  http-request set-var(txn.about) path,field(4,/) if { path_beg /api/jobs/ }
  default_backend nodes
backend nodes
  # a job comes to the node that has its plan, while that one is there
  balance hash var(txn.about)
  hash-type consistent
  option httpchk GET /actuator/health/readiness
CFG
    local n
    for n in $(seq 1 "$NODES"); do
      say "  server node-$n 127.0.0.1:$(node_port "$n") check port $(cat "$DATA/node-$n.management") inter 1s fall 2 rise 1"
    done
  } >"$DATA/proxy.cfg"
  (as_server /usr/sbin/haproxy -db -f "$DATA/proxy.cfg") \
    >>"$DATA/logs/proxy.log" 2>&1 </dev/null &
  note_process "$DATA/proxy.pid" $!
}

choose_ports() {
  local n
  for n in $(seq 1 "$NODES"); do
    free_port >"$DATA/node-$n.management"
    free_port >"$DATA/node-$n.port"
  done
}

# Looks after everything until it is told to end: what died is begun again, and told in its log.
supervise() {
  local stopping='' n
  trap 'stopping=yes' TERM
  trap '' HUP
  for n in $(seq 1 "$NODES"); do start_node "$n"; done
  [ "$NODES" = 1 ] || start_proxy
  while [ -z "$stopping" ]; do
    sleep 1 &
    wait $! || true
    [ -n "$stopping" ] || revive || break
  done
  end_server
}

revive() {
  local n
  if ! pg_running "$DATA"; then
    told "PostgreSQL died; it is begun again"
    (pg_start "$DATA") || return 0
  fi
  for n in $(seq 1 "$NODES"); do
    process_of "$DATA/node-$n.pid" >/dev/null && continue
    [ -f "$DATA/serving" ] || { told "node $n ended before it served"; return 1; }
    may_begin_again "$n" || { told "node $n ended $MOST_ENDS times in ten minutes; giving up"; return 1; }
    told "node $n ended; it is begun again"
    start_node "$n"
  done
  if [ "$NODES" != 1 ] && ! process_of "$DATA/proxy.pid" >/dev/null; then
    told "the proxy ended; it is begun again"
    start_proxy
  fi
}

told() { say "$(date -u +%FT%TZ) $*"; }

# may_begin_again NODE: notes an end, and whether there were few of them lately
may_begin_again() {
  local file="$DATA/node-$1.ends" now
  now=$(date +%s)
  say "$now" >>"$file"
  awk -v since=$((now - 600)) '$1 > since' "$file" >"$file.new" && mv "$file.new" "$file"
  [ "$(wc -l <"$file")" -le "$MOST_ENDS" ]
}

# Nodes end gracefully, which takes 30 s at most, all at once.
end_server() {
  local file pid pids=()
  pid=$(process_of "$DATA/proxy.pid") && end_process "$pid" 5
  for file in "$DATA"/node-*.pid; do
    [ -e "$file" ] || continue
    pid=$(process_of "$file") && { kill "$pid" 2>/dev/null || true; } && pids+=("$pid")
  done
  for pid in ${pids[@]+"${pids[@]}"}; do end_process "$pid" 60; done
  rm -f "$DATA"/node-*.pid "$DATA/proxy.pid" "$DATA/serving"
}

# Anything of this folder's server that is alive.
server_process() {
  local file
  for file in "$DATA/supervisor.pid" "$DATA"/node-*.pid; do
    [ -e "$file" ] && process_of "$file" && return 0
  done
  return 1
}

clear_stale_processes() {
  if [ -e "$DATA/supervisor.pid" ] || ls "$DATA"/node-*.pid >/dev/null 2>&1; then
    say "The last run did not end by itself; its data is kept."
    rm -f "$DATA/supervisor.pid" "$DATA"/node-*.pid "$DATA/proxy.pid"
  fi
  rm -f "$DATA/serving" "$DATA"/node-*.ends
}

# However long it takes, as long as somebody works at it.
wait_until_served() {
  local n
  for n in $(seq 1 "$NODES"); do
    until curl -fsS "http://127.0.0.1:$(cat "$DATA/node-$n.management")/actuator/health/readiness" \
      2>/dev/null | grep -q '"UP"'; do
      process_of "$DATA/supervisor.pid" >/dev/null || return 1
      sleep 0.2
    done
  done
  [ "$NODES" = 1 ] || until port_in_use "$PORT"; do
    process_of "$DATA/supervisor.pid" >/dev/null || return 1
    sleep 0.2
  done
}

# The first account of a real shop gets a password that is shown once and has to be changed.
first_password() {
  [ "$DEMO" = true ] && return 0
  local accounts
  accounts=$(pg_sql "$DATA" oleander "select count(*) from account where not demo" 2>/dev/null || say 0)
  [ "$accounts" != 0 ] || random_hex 9
}

print_address() {
  say
  say "Oleander is at http://$ADDRESS:$PORT"
  if [ "$DEMO" = true ]; then
    say "Demo accounts: mira / slipway-mira (programmer), tove / slipway-tove (operator), anselm / slipway-anselm (lead)"
  elif [ -n "$OLEANDER_FIRST_PASSWORD" ]; then
    say "First account: lead, password $OLEANDER_FIRST_PASSWORD"
    say "It is shown this once; signing in asks for another."
  fi
}

# The database and all that the application needs to know of it.
prepare() {
  # shellcheck disable=SC2086
  require_packages $PACKAGES_RUN
  check_data
  build_if_changed
  install_app
  [ -f "$DATA/db-password" ] && [ -d "$DATA/postgres" ] || pg_make "$DATA"
  pg_start "$DATA"
  pg_database "$DATA" oleander
  pg_settings "$DATA" oleander
  give_to_server
  export OLEANDER_SEALS="$DATA/seals" OLEANDER_DEMO=$DEMO
}

NODES=1

start() {
  local detach=
  while [ $# -gt 0 ]; do
    case $1 in
      --detach) detach=yes ;;
      --nodes) NODES=${2:-} && shift ;;
      *) usage ;;
    esac
    shift
  done
  [[ $NODES =~ ^[1-9]$ ]] || fail "--nodes takes a number from 1 to 9, not \"$NODES\""
  [ "$NODES" = 1 ] || require_packages haproxy
  lock_folder
  check_data
  local pid
  if pid=$(server_process); then
    fail "already running (process $pid), data in $DATA. End it with: ./oleander stop"
  fi
  clear_stale_processes
  if port_in_use "$PORT"; then
    fail "port $PORT is in use by another program. Choose another: OLEANDER_PORT=8081 ./oleander start"
  fi
  prepare
  export OLEANDER_FIRST_PASSWORD OLEANDER_PUBLIC_URL
  OLEANDER_FIRST_PASSWORD=$(first_password)
  OLEANDER_PUBLIC_URL=${OLEANDER_PUBLIC_URL:-http://$ADDRESS:$PORT}
  prepare_quick_start
  choose_ports
  keep_small "$DATA/logs/supervisor.log"
  (supervise) >>"$DATA/logs/supervisor.log" 2>&1 </dev/null 9>&- &
  note_process "$DATA/supervisor.pid" $!
  [ -n "$detach" ] || trap 'say; unlock_folder; stop; exit 0' INT TERM
  wait_until_served || start_failed
  touch "$DATA/serving"
  schema >"$DATA/format"
  unlock_folder
  print_address
  if [ -n "$detach" ]; then
    say "Stop it with: ./oleander stop"
  else
    say "Stop it with Ctrl-C"
    while process_of "$DATA/supervisor.pid" >/dev/null; do sleep 1 & wait $! || true; done
    fail "the server ended; see $DATA/logs. Data is kept in $DATA"
  fi
}

start_failed() {
  tail -n 25 "$DATA"/logs/node-1.console.log >&2 || true
  local pid
  if pid=$(process_of "$DATA/supervisor.pid"); then end_process "$pid" 70; fi
  rm -f "$DATA/supervisor.pid"
  pg_stop "$DATA"
  fail "the server did not start; all of its messages: $DATA/logs. Your data is untouched."
}

stop() {
  [ -d "$DATA" ] || fail "nothing to stop: there is no data folder $DATA"
  lock_folder 10
  if ! server_process >/dev/null && ! { [ -d "$DATA/postgres" ] && pg_running "$DATA"; }; then
    rm -f "$DATA/supervisor.pid" "$DATA"/node-*.pid "$DATA/proxy.pid"
    say "Oleander is not running."
    return 0
  fi
  local pid
  if pid=$(process_of "$DATA/supervisor.pid"); then end_process "$pid" 90; fi
  rm -f "$DATA/supervisor.pid"
  end_server
  pg_stop "$DATA"
  say "Stopped. Data is kept in $DATA"
}

# What the nodes say of themselves: disk, database, queue.
status() {
  local file name pid
  if pg_running "$DATA" 2>/dev/null; then say "PostgreSQL: running"; else say "PostgreSQL: not running"; fi
  for file in "$DATA"/node-*.pid; do
    [ -e "$file" ] || { say "No server is running in $DATA"; return 1; }
    name=$(basename "$file" .pid)
    pid=$(process_of "$file") || { say "$name: not running"; continue; }
    say "$name (process $pid): $(curl -sS "http://127.0.0.1:$(cat "$DATA/$name.management")/actuator/health" 2>&1)"
  done
}

demo_reset() {
  [ "$DEMO" = true ] || fail "demo-reset is for demo data only (OLEANDER_DEMO is $DEMO)"
  lock_folder
  ! server_process >/dev/null || fail "Oleander is running; end it first: ./oleander stop"
  [ -d "$DATA/postgres" ] || fail "there is no data to reset in $DATA"
  pg_start "$DATA"
  pg_sql "$DATA" postgres "drop database if exists oleander"
  # its chain of seals ends with it
  rm -f "$DATA/seals/head"
  pg_stop "$DATA"
  say "The demo data is gone; the next start makes it anew."
}
