import { existsSync } from 'node:fs'
import { mkdir, open, readdir, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import type { Services } from '../services'

/* Files that are uploaded in chunks. They are stored beside the pictures until a job has read them. */

/** More than a million order lines. */
export const MOST_BYTES = 300_000_000
const MOST_FILES = 5
const DAY_MS = 86_400_000
/** A failed job can continue while its file exists. */
const KEPT_DAYS = 7

type Given = Pick<Services, 'mediaFolder'>

const folderOf = ({ mediaFolder }: Given, shopId: number) =>
  path.join(mediaFolder, '..', 'incoming', String(shopId))

/** @throws Error for a malformed id */
export function incomingFile(services: Given, shopId: number, upload: string): string {
  if (!/^[a-z0-9]{8,40}$/.test(upload)) throw new Error('no such upload')
  return path.join(folderOf(services, shopId), `${upload}.csv`)
}

type PieceOutcome = { size: number } | { refused: 'tooLarge' }

/**
 * Appends a chunk to an upload. A chunk that doesn't begin at the end of the file is refused; the answer says
 * where to continue.
 * @param at the position of the chunk, in bytes
 */
export async function keepPiece(
  services: Given,
  shopId: number,
  { upload, at, bytes }: { upload: string; at: number; bytes: Uint8Array },
): Promise<PieceOutcome> {
  const file = incomingFile(services, shopId, upload)
  const size = existsSync(file) ? (await stat(file)).size : 0
  if (at !== size) return { size }
  if (size + bytes.length > MOST_BYTES) return { refused: 'tooLarge' }
  await mkdir(path.dirname(file), { recursive: true })
  if (size === 0) await dropOldest(path.dirname(file), MOST_FILES - 1)
  // Written at its position, so that a chunk sent twice at once is stored once.
  const handle = await open(file, size === 0 ? 'w' : 'r+', 0o600)
  try {
    await handle.write(bytes, 0, bytes.length, at)
  } finally {
    await handle.close()
  }
  return { size: size + bytes.length }
}

export async function dropIncoming(services: Given, shopId: number, upload: string): Promise<void> {
  await rm(incomingFile(services, shopId, upload), { force: true })
}

/** Deletes files that no job has used for a week. Returns the number. */
export async function sweepIncoming({
  mediaFolder,
  now,
}: Pick<Services, 'mediaFolder' | 'now'>): Promise<number> {
  const folder = path.join(mediaFolder, '..', 'incoming')
  if (!existsSync(folder)) return 0
  let gone = 0
  for (const entry of await readdir(folder, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue
    const file = path.join(entry.parentPath, entry.name)
    if (now().getTime() - (await stat(file)).mtimeMs < KEPT_DAYS * DAY_MS) continue
    await rm(file, { force: true })
    gone++
  }
  return gone
}

async function dropOldest(folder: string, kept: number): Promise<void> {
  const files = await Promise.all(
    (await readdir(folder)).map(async (name) => {
      const file = path.join(folder, name)
      return { file, at: (await stat(file)).mtimeMs }
    }),
  )
  for (const { file } of files.sort((a, b) => b.at - a.at).slice(kept)) await rm(file, { force: true })
}
