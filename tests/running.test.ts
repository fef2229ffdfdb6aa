import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from 'vitest'
import { runningCommands } from './support/runningCommands'
import { writeStandins } from './support/server/standins'

/** A machine of its own needs the right to mount; without it the commands cannot be tried. */
const canIsolate = spawnSync('unshare', ['-mn', 'true']).status === 0
const has = (program: string) => spawnSync('which', [program]).status === 0
const sections = runningCommands()
const of = (heading: string) => {
  const commands = sections.get(heading)
  if (!commands?.length) throw new Error(`docs/running.md has no commands under “${heading}”`)
  return commands.join('\n')
}

test.runIf(canIsolate)(
  'the commands of docs/running.md install, back up, restore, update and go back',
  () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'elogio-running-'))
    try {
      writeStandins(folder)
      const say = (name: string, value: string) => `echo "== ${name}: $(${value})"`
      const reviews = `sqlite() { node -e 'const D = require("better-sqlite3"); console.log(new D("/var/lib/elogio/data/elogio.db", { readonly: true }).prepare("SELECT count(*) FROM member").pluck().get())'; }`
      const add = (name: string) =>
        `node -e 'const D = require("better-sqlite3"); new D("/var/lib/elogio/data/elogio.db").prepare("INSERT INTO member (public_id, email, name, password_hash, created_at) VALUES (?, ?, ?, ?, ?)").run("${name}", "${name}@shop.example", "${name}", "", "")'`
      const healthy = 'until curl -sf http://127.0.0.1:4310/healthz; do sleep 0.1; done; echo'
      const script = [
        of('Install'),
        has('nginx') ? of('https') : '',
        'cd /opt/elogio',
        reviews,
        add('you'),
        of('First sign-in'),
        of('Backup').split('\n')[0],
        add('later'),
        say('before the restore', 'sqlite'),
        of('Backup').split('\n').slice(1).join('\n'),
        healthy,
        'cd /opt/elogio',
        say('after the restore', 'sqlite'),
        of('Update'),
        healthy,
        say('in use', 'readlink /opt/elogio'),
        'mkdir -p /var/lib/elogio/data/backups',
        'cp /var/lib/elogio/now.tar.gz /var/lib/elogio/data/backups/before-update-2026-11-29T14-30-05.tar.gz',
        of('Back to the version before'),
        healthy,
        say('back to', 'readlink /opt/elogio'),
      ].join('\n')
      writeFileSync(path.join(folder, 'script.sh'), script)
      const machine = path.resolve('tests/support/server/machine.sh')
      const { status, stdout, stderr } = spawnSync(
        'unshare',
        ['-mn', '--', 'bash', machine, process.cwd(), folder, path.join(folder, 'script.sh')],
        { encoding: 'utf8', timeout: 280_000 },
      )
      const log = existsSync(path.join(folder, 'log')) ? readFileSync(path.join(folder, 'log'), 'utf8') : ''
      expect(status, `${stdout}\n${stderr}\n${log}`).toBe(0)
      expect([...stdout.matchAll(/^== (.*)$/gm)].map(([, line]) => line)).toEqual([
        'before the restore: 2',
        'after the restore: 1',
        'in use: /opt/elogio-2',
        'back to: /opt/elogio-1',
      ])
      expect(stdout).toContain('"status":"ok"')
      expect(stdout).toMatch(/The new password of you@shop\.example is \S+/)
      expect(stdout).toContain('/var/lib/elogio/now.tar.gz contains the database and 0 pictures.')
    } finally {
      rmSync(folder, { recursive: true, force: true })
    }
  },
)

test.runIf(has('systemd-analyze'))('systemd understands the service', () => {
  const { status, stderr } = spawnSync('systemd-analyze', ['verify', 'deploy/elogio.service'], {
    encoding: 'utf8',
  })
  expect([status, stderr]).toEqual([0, ''])
})
