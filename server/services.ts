import type { Knex } from 'knex'
import { customAlphabet } from 'nanoid'
import { randomBytes } from 'node:crypto'
import type { OriginAdapter } from '../core/listing/originAdapter'
import type { Behaviour } from '../core/display/layoutTraits'
import { buildChanges, type Changes } from './changes'
import { silentLog, type Log } from './log'
import { buildOpenStreams, type OpenStreams } from './openStreams'
import { buildPresence, type Presence } from './presence'
import { buildWordingModels, type WordingModels } from './moderation/wordingModels'
import { buildArrivalHistories, type ArrivalHistories } from './moderation/arrivalHistories'
import type { Mailer } from './mail/mailer'
import type { Published } from './publishing/published'
import { buildTurns } from './media/inTurn'
import { fetchOutside } from './outside/fetchOutside'
import type { Workers } from './workers/workers'

/** What the use cases depend on; tests replace parts of it. */
export interface Services {
  db: Knex
  /** The only clock. */
  now: () => Date
  /** A random public id of 16 letters and digits. */
  newId: () => string
  /** Random bytes as base64url, for tokens and salts. */
  newSecret: () => string
  /** Signs form tokens. */
  signingKey: Buffer
  /** The public address, without a trailing slash. */
  publicUrl: string
  /** Fetches addresses that people type. */
  fetchOutside: typeof fetchOutside
  /** Hosts with ports that may be fetched although they are private. */
  allowedHosts: string[]
  /** The outside sites that listings can stand on. */
  origins: OriginAdapter[]
  /** Sites that are being checked now: never two checks at once. */
  busyOrigins: Set<string>
  /** The folder of pictures. */
  mediaFolder: string
  /** The share of the disk, 0 to 1, that photos and videos of visitors never fill. */
  diskReserve: number
  /** Uploads under the same key go one after the other. */
  uploadTurns: ReturnType<typeof buildTurns>
  /** Receives rendered displays for answering visitors. */
  published: (display: Published) => void
  /** The arrival histories of all shops. */
  arrivalHistories: ArrivalHistories
  wordingModels: WordingModels
  /** Addresses of the scripts of single layouts, by module. */
  behaviours: Partial<Record<Behaviour | 'page', string>>
  /** Null without a mail server. */
  mailer: Mailer | null
  argon: { memoryCost: number; timeCost: number }
  /** Notifies open tabs of a shop's change. Call it after the transaction. */
  changes: Changes
  /** Their event streams. */
  streams: OpenStreams
  log: Log
  /** Who reads which review now. */
  presence: Presence
  /** Runs long work. */
  workers: Workers
  /** Notifies the job runner. Call it after the transaction that added the job. */
  wakeJobs: () => void
  /** Cancels a running job. */
  stopJob: (id: number) => void
}

export const systemClock = (): Date => new Date()

const alphabet = '23456789abcdefghjkmnpqrstuvwxyz'

export function buildServices(
  given: Pick<Services, 'db' | 'signingKey' | 'publicUrl' | 'mediaFolder'> & Partial<Services>,
): Services {
  return {
    now: systemClock,
    newId: customAlphabet(alphabet, 16),
    newSecret: () => randomBytes(32).toString('base64url'),
    fetchOutside,
    allowedHosts: [],
    diskReserve: 0,
    uploadTurns: buildTurns(),
    origins: [],
    busyOrigins: new Set(),
    arrivalHistories: buildArrivalHistories(given.db, given.now ?? systemClock),
    wordingModels: buildWordingModels(given.db, given.now ?? systemClock),
    published: () => undefined,
    behaviours: {},
    mailer: null,
    argon: { memoryCost: 19_456, timeCost: 2 },
    changes: buildChanges(),
    streams: buildOpenStreams(),
    log: silentLog,
    presence: buildPresence(),
    workers: nobody,
    wakeJobs: () => undefined,
    stopJob: () => undefined,
    ...given,
  }
}

/** For code that starts no long work. */
const nobody: Workers = {
  run: async (name) => {
    throw new Error(`nobody does ${name} here`)
  },
  close: async () => undefined,
}
