import type { Knex } from 'knex'
import { statfs } from 'node:fs/promises'
import { tryStoring } from './data/storageTrial'
import { storageFault, type StorageFault } from './data/storageFault'

/** Whether the database can be written to, and why not; `failing` stands for unexpected causes. */
export type StorageState = 'ok' | StorageFault | 'failing'

/** A result is reused for this long, so that frequent requests cost little. */
const GOOD_FOR_MS = 2000
/** With less space than this, the next photo would fill the disk. */
const MIN_FREE_BYTES = 20_000_000

/** Tries to write, and reads the free space of the disk. */
export function buildStorageCheck({
  db,
  folder,
  now,
}: {
  db: Knex
  folder: string
  now: () => Date
}): () => Promise<StorageState> {
  let latest: { at: number; state: Promise<StorageState> } | null = null
  return () => {
    const at = now().getTime()
    if (!latest || Math.abs(at - latest.at) >= GOOD_FOR_MS) latest = { at, state: stateNow(db, folder) }
    return latest.state
  }
}

async function stateNow(db: Knex, folder: string): Promise<StorageState> {
  try {
    await tryStoring(db)
  } catch (error) {
    return storageFault(error) ?? 'failing'
  }
  const room = await statfs(folder).catch(() => null)
  return room && room.bavail * room.bsize < MIN_FREE_BYTES ? 'full' : 'ok'
}
