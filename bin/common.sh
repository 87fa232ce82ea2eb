# What the commands in this folder share: one sentence and an exit code for whatever stands in the way.
# The codes are listed in the README.
readonly NODE_TOO_OLD=10 NOT_INSTALLED=11 NOT_WRITABLE=12 NO_SPACE=13 RUNNING_ALREADY=15
readonly OTHER_VERSION=16 POSTGRES_FAILED=17 SERVER_ENDED=20

# fail CODE SENTENCE
fail() {
  echo "$2" >&2
  exit "$1"
}

# Runs a command as root. Says how to go on where that cannot be: as_root WHAT COMMAND…
as_root() {
  local what=$1
  shift
  if [ "$(id -u)" = 0 ]; then
    "$@"
  elif command -v sudo >/dev/null && { [ -t 0 ] || sudo -n true 2>/dev/null; }; then
    sudo "$@"
  else
    fail $NOT_INSTALLED "$what is not installed, and installing it takes root or sudo. As root: apt-get install $what"
  fi
}

# Installs one of Debian's packages: install_package NAME
install_package() {
  local name=$1 said status=0
  command -v apt-get >/dev/null ||
    fail $NOT_INSTALLED "$name is not installed, and this machine has no apt-get. Install it in your system's way."
  echo "Installing $name …" >&2
  said=$(mktemp)
  # In a shell of its own: where nobody may, it ends there, and what it said is told.
  (as_root "$name" env DEBIAN_FRONTEND=noninteractive apt-get update -qq) >"$said" 2>&1 </dev/null || status=$?
  [ $status != $NOT_INSTALLED ] || { cat "$said" >&2; exit $status; }
  (as_root "$name" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "$name") >"$said" 2>&1 </dev/null ||
    fail $NOT_INSTALLED "$name could not be installed: $(grep -v '^$' "$said" | tail -n 1)"
  rm -f "$said"
}

# Makes a folder that can be written to: make_folder PATH
make_folder() {
  mkdir -p "$1" 2>/dev/null && [ -w "$1" ] ||
    fail $NOT_WRITABLE "The folder $1 cannot be written to. Make it yours (chown), or put the application where you may write."
}

# Sees to it that there is room: need_space PATH MEGABYTES
need_space() {
  local free
  free=$(df -Pm "$1" 2>/dev/null | awk 'NR == 2 { print $4 }')
  [ -z "$free" ] || [ "$free" -ge "$2" ] ||
    fail $NO_SPACE "Only $free MB are free at $1, and $2 MB are needed. Make room and start again."
}
