import { chmodSync, mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** Programs that a real server has, as little of them as the installation needs. Each is a shell script. */
const programs: Record<string, string> = {
  'apt-get': 'exit 0',
  useradd: 'exit 0',
  nano: 'exit 0',
  // There is no other user here.
  runuser: 'shift 3; exec "$@"',
  // The project as it is, with the packages and the build that the tests use.
  git: `to=\${@: -1}
mkdir -p "$to"
cd "$PROJECT"
for name in *; do
  case $name in data | .work) ;; *) ln -s "$PROJECT/$name" "$to/$name" ;; esac
done`,
  npm: `case "$1 \${2:-}" in
'ci '*) exit 0 ;;
'run build') exit 0 ;;
esac
PATH=\${PATH#"$STANDINS/bin:"} exec npm "$@"`,
  certbot: `while [ $# -gt 0 ]; do [ "$1" = -d ] && name=$2; shift; done
live=/etc/letsencrypt/live/$name
mkdir -p "$live"
openssl req -x509 -newkey rsa:2048 -nodes -days 1 -subj "/CN=$name" -keyout "$live/privkey.pem" -out "$live/fullchain.pem" 2>/dev/null`,
  // Starts what the unit says, and ends it as systemd does.
  systemctl: `unit=/etc/systemd/system/elogio.service
pidfile=$STANDINS/pid
end() {
  [ -f "$pidfile" ] || return 0
  kill "$(cat "$pidfile")" 2>/dev/null || true
  while kill -0 "$(cat "$pidfile")" 2>/dev/null; do sleep 0.05; done
  rm -f "$pidfile"
}
begin() {
  value() { sed -n "s/^$1=//p" "$unit"; }
  set -a
  . "$(value EnvironmentFile)"
  eval "$(value Environment)"
  set +a
  cd "$(value WorkingDirectory)"
  $(value ExecStart | sed "s#^/usr/bin/node#node#") >>"$STANDINS/log" 2>&1 &
  echo $! >"$pidfile"
}
case "$*" in
'enable --now elogio' | 'start elogio') begin ;;
'stop elogio') end ;;
'restart elogio') end; begin ;;
'daemon-reload') ;;
'reload nginx') nginx -t -q ;;
*) echo "systemctl $* is not known here" >&2; exit 1 ;;
esac`,
}

/** Writes the stand-ins as programs below a folder. */
export function writeStandins(folder: string): void {
  const bin = path.join(folder, 'bin')
  mkdirSync(bin, { recursive: true })
  for (const [name, script] of Object.entries(programs)) {
    writeFileSync(path.join(bin, name), `#!/bin/bash\nset -eu\n${script}\n`)
    chmodSync(path.join(bin, name), 0o755)
  }
}
