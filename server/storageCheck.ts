import type { Knex } from 'knex'
import { statfs } from 'node:fs/promises'
import { tryStoring } from './data/storageTrial'
import { storageFault, type StorageFault } from './data/storageFault'

/** Whether something can be stored now, and if not, why; `failing` is for what nobody expected. */
export type StorageState = 'ok' | StorageFault | 'failing'

/** A check is good for this long, so that asking often costs little. */
const GOOD_FOR_MS = 2000
/** Less than this on the disk is as good as full: the next photo would fill it. */
const MIN_FREE_BYTES = 20_000_000

/** Tries to store something and looks how much room the disk has. */
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
