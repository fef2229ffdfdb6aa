import { randomBytes } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** The database file of a data folder, which is made when it is missing. */
export function databaseFile(folder: string): string {
  mkdirSync(folder, { recursive: true })
  return path.join(folder, 'elogio.db')
}

/** Makes the database readable for its own account alone, also where it was made by an earlier version. */
export function protectFolder(folder: string): void {
  for (const name of readdirSync(folder))
    if (/^elogio\.db/.test(name)) chmodSync(path.join(folder, name), 0o600)
}

/** The folder of pictures in a data folder. */
export const mediaFolder = (folder: string): string => path.join(folder, 'media')

/** The secret that signs what the application hands out: given, or made at the first start and kept (0600). */
export function signingKey(folder: string, given: string | null): Buffer {
  if (given) return Buffer.from(given)
  const file = path.join(folder, 'secret')
  if (!existsSync(file))
    writeFileSync(file, randomBytes(48).toString('base64url'), { mode: 0o600, flag: 'wx' })
  return Buffer.from(readFileSync(file, 'utf8').trim())
}
