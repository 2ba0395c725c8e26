# From sources to an application of its own in the data folder.

maven() { (cd "$TOP" && mvn -B -ntp -Dstyle.color=never "$@"); }

# A hash of all that the application is built from; times of files say nothing.
sources_hash() {
  (cd "$TOP" && find pom.xml core/pom.xml core/src/main web/pom.xml web/src/main samples -type f \
    -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -c 1-64)
}

build_if_changed() {
  local hash
  hash=$(sources_hash)
  [ -f "$JAR" ] && [ "$(cat "$JAR.sources" 2>/dev/null)" = "$hash" ] && return 0
  say "Building (the first time takes some minutes) ..."
  local log="$DATA/build.log"
  maven -q -pl core,web -am package -DskipTests >"$log" 2>&1 ||
    { tail -n 30 "$log" >&2; fail "the build failed; all of its messages: $log"; }
  say "$hash" >"$JAR.sources"
}

# The server runs from a copy of its own, unpacked, so that a later build cannot pull it from under it.
install_app() {
  local app="$DATA/app" hash
  hash=$(sha256sum "$JAR" | cut -c 1-64)
  [ "$(cat "$app/hash" 2>/dev/null)" = "$hash" ] && return 0
  rm -rf "$app"
  java -Djarmode=tools -jar "$JAR" extract --destination "$app" >/dev/null
  say "$hash" >"$app/hash"
}

# Loads all classes once and keeps them in an archive, which halves the time of every later start.
prepare_quick_start() {
  local archive="$DATA/app/classes.jsa"
  [ -f "$archive" ] && return 0
  say "Preparing quick starts ..."
  OLEANDER_PORT=$(free_port) java -XX:+UseG1GC -XX:ArchiveClassesAtExit="$archive" \
    -Dspring.context.exit=onRefresh -jar "$DATA/app/oleander-app.jar" >"$DATA/prepare.log" 2>&1 ||
    rm -f "$archive" # the server starts without it as well, and says what is wrong
}

readonly WEAKNESS_CHECK=org.owasp:dependency-check-maven:12.1.8

# Compares the libraries with a published list of weaknesses; without a way to it nothing is known.
weaknesses() {
  # shellcheck disable=SC2086
  require_packages $PACKAGES_RUN
  local log
  log=$(mktemp)
  if maven "$WEAKNESS_CHECK:aggregate" -DfailBuildOnCVSS=7 -Dformat=HTML >"$log" 2>&1; then
    say "No weakness of weight 7 or more is known; the report: target/dependency-check-report.html"
  elif grep -q 'CVSS score greater than' "$log"; then
    grep -A 30 'CVSS score greater than' "$log" >&2
    fail "libraries have known weaknesses; the report: target/dependency-check-report.html"
  else
    tail -n 5 "$log" >&2
    rm -f "$log"
    fail "the list of known weaknesses cannot be reached from here: nothing was checked"
  fi
  rm -f "$log"
}
