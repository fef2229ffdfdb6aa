import { randomBytes } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** The database file; a missing one is created. */
export function databaseFile(folder: string): string {
  mkdirSync(folder, { recursive: true })
  return path.join(folder, 'elogio.db')
}

/** Restricts the database to its own account, also if an earlier version created it. */
export function protectFolder(folder: string): void {
  for (const name of readdirSync(folder))
    if (/^elogio\.db/.test(name)) chmodSync(path.join(folder, name), 0o600)
}

export const mediaFolder = (folder: string): string => path.join(folder, 'media')

/** The secret for signatures: configured, or created at the first start and stored with mode 0600. */
export function signingKey(folder: string, given: string | null): Buffer {
  if (given) return Buffer.from(given)
  const file = path.join(folder, 'secret')
  if (!existsSync(file))
    writeFileSync(file, randomBytes(48).toString('base64url'), { mode: 0o600, flag: 'wx' })
  return Buffer.from(readFileSync(file, 'utf8').trim())
}
