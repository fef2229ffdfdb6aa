import Database from 'better-sqlite3'
import { mkdirSync } from 'node:fs'
import path from 'node:path'

/** How long a start waits for an earlier process that is about to end. */
const WAITING_MS = 5000

/**
 * Keeps other processes off a data folder until it is released or this process ends, however it ends: the lock is one
 * of the operating system, on a database of its own.
 * @param refusal what to say if another process has the folder
 * @throws Error with the refusal
 */
export function lockFolder(dataFolder: string, refusal: string, waitingMs = 0): () => void {
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
  const lock = new Database(path.join(dataFolder, 'lock.db'), { timeout: waitingMs })
  try {
    lock.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    lock.close()
    if (!(error instanceof Error) || !/locked|busy/i.test(error.message)) throw error
    throw new Error(refusal, { cause: error })
  }
  return () => void lock.close()
}

/** For the application itself. */
export const lockForApplication = (dataFolder: string): (() => void) =>
  lockFolder(
    dataFolder,
    `Another Elogio is running on the data folder ${dataFolder}. Stop it first, or set ELOGIO_DATA to another folder.`,
    WAITING_MS,
  )
