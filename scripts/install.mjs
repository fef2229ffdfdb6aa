import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'

// Runs before packages are installed, so it uses only Node.js.

export const root = path.resolve(import.meta.dirname, '..')
const stamps = path.join(root, '.work', 'stamps')

/** Runs a command in the project's folder with its output; returns whether it succeeded. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  })
  if (error) console.error(`${command}: ${error.message}`)
  return status === 0
}

function stampIs(name, value) {
  const file = path.join(stamps, name)
  return existsSync(file) && readFileSync(file, 'utf8') === value
}

function stamp(name, value) {
  mkdirSync(stamps, { recursive: true })
  writeFileSync(path.join(stamps, name), value)
}

function digest(files) {
  const hash = createHash('sha256').update(process.version)
  for (const file of files) hash.update(path.relative(root, file)).update(readFileSync(file))
  return hash.digest('hex')
}

function filesBelow(folder) {
  return readdirSync(path.join(root, folder), { recursive: true })
    .map((name) => path.join(root, folder, name))
    .filter((name) => statSync(name).isFile())
    .sort()
}

/** Installs packages if they are missing or the lock file has changed. */
export function installPackages() {
  const lock = digest([path.join(root, 'package-lock.json')])
  if (existsSync(path.join(root, 'node_modules')) && stampIs('packages', lock)) return
  console.log('Installing packages; the first time takes a few minutes.')
  if (!run('npm', ['ci', '--no-audit', '--no-fund'])) fail('npm ci did not work; see above.')
  stamp('packages', lock)
}

/** Builds when a source has changed since the last build. */
export function build() {
  const sources = [
    ...['app', 'cli', 'core', 'onsite', 'public', 'server', 'standins'].flatMap(filesBelow),
    ...[
      'package-lock.json',
      'vite.config.ts',
      'vite.loader.config.ts',
      'vite.server.config.ts',
      'vite.commands.config.ts',
      'react-router.config.ts',
      'scripts/compress.mjs',
    ].map((name) => path.join(root, name)),
  ]
  const now = digest(sources)
  if (existsSync(path.join(root, 'build', 'app', 'main.js')) && stampIs('build', now)) return
  console.log('Building.')
  if (!run('npm', ['run', '--silent', 'build'], { NODE_ENV: 'production' }))
    fail('the build did not work; see above.')
  stamp('build', now)
}

export function fail(message) {
  console.error(message)
  process.exit(1)
}
