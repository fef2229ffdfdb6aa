import { existsSync, readdirSync, statSync } from 'node:fs'
import path from 'node:path'
import { root, run, fail } from './install.mjs'

/** Runs a command, and builds the commands first if a source is newer. */
const built = path.join(root, 'build', 'commands', 'main.js')
if (isOlder(built) && !run('npx', ['vite', 'build', '--config', 'vite.commands.config.ts']))
  fail('the commands could not be built; see above.')
await import(built)

function isOlder(file) {
  if (!existsSync(file)) return true
  const { mtimeMs } = statSync(file)
  return ['cli', 'core', 'server'].some((folder) =>
    readdirSync(path.join(root, folder), { recursive: true, withFileTypes: true }).some(
      (entry) =>
        entry.isFile() && statSync(path.join(entry.parentPath ?? entry.path, entry.name)).mtimeMs > mtimeMs,
    ),
  )
}
