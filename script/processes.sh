# Processes by number and the moment they began, since numbers are used again.

# began PID: clock ticks from the start of the machine to that of the process, if it is alive
began() {
  local stat
  stat=$(cat "/proc/$1/stat" 2>/dev/null) || return 1
  # the name before may hold blanks and brackets
  stat=${stat##*) }
  # shellcheck disable=SC2086
  set -- $stat
  # Z: it ended, and nobody asked how
  [ "$1" != Z ] && say "${20}"
}

# note_process FILE PID
note_process() { say "$2 $(began "$2" || say 0)" >"$1"; }

# process_of FILE: its number, when it is still that process
process_of() {
  local pid=0 at=0
  read -r pid at 2>/dev/null <"$1" || return 1
  [ "$(began "$pid")" = "$at" ] && say "$pid"
}

# end_process PID SECONDS: asks it to end, and makes it end when it does not
end_process() {
  kill "$1" 2>/dev/null || return 0
  local i
  for ((i = 0; i < $2 * 10; i++)); do
    began "$1" >/dev/null || return 0
    sleep 0.1
  done
  say "Process $1 does not end after $2 s; it is ended by force. Nothing that was answered is lost."
  kill -9 "$1" 2>/dev/null || true
}

free_port() {
  python3 - 2>/dev/null <<'PY' || say $((20000 + RANDOM % 20000))
import socket
s = socket.socket(); s.bind(("127.0.0.1", 0)); print(s.getsockname()[1])
PY
}

port_in_use() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
