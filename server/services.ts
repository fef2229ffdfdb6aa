import type { Knex } from 'knex'
import { customAlphabet } from 'nanoid'
import { randomBytes } from 'node:crypto'
import type { Behaviour } from '../onsite/render'
import { buildChanges, type Changes } from './changes'
import { silentLog, type Log } from './log'
import { buildOpenStreams, type OpenStreams } from './openStreams'
import { buildPresence, type Presence } from './presence'
import { buildArrivalHistories, type ArrivalHistories } from './moderation/arrivalHistories'
import type { Mailer } from './mail/mailer'
import type { Published } from './publishing/published'
import { buildPublishableReviews, type PublishableReviews } from './publishing/publishableReviews'
import { fetchOutside } from './outside/fetchOutside'
import type { Workers } from './workers/workers'

/** What the use cases stand on; a test sets each of them. */
export interface Services {
  db: Knex
  /** The only clock. */
  now: () => Date
  /** A random public id, 16 letters and digits. */
  newId: () => string
  /** Random bytes as base64url, for tokens and salts. */
  newSecret: () => string
  /** Signs form tokens. */
  signingKey: Buffer
  /** Where people reach the application, without a trailing slash. */
  publicUrl: string
  /** The only way to addresses that people type. */
  fetchOutside: typeof fetchOutside
  /** Hosts with their port that may be private all the same. */
  allowedHosts: string[]
  /** Where pictures lie. */
  mediaFolder: string
  /** What may be shown of each shop, kept in memory. */
  publishableReviews: PublishableReviews
  /** Hands a display that was rendered to whoever answers visitors. */
  published: (display: Published) => void
  /** What weighing remembers of each shop's arrivals. */
  arrivalHistories: ArrivalHistories
  /** Addresses of what single layouts run on other people's pages, by name. */
  behaviours: Partial<Record<Behaviour | 'page', string>>
  /** The way out for emails; null where none is set. */
  mailer: Mailer | null
  argon: { memoryCost: number; timeCost: number }
  /** Tells open tabs that something of a shop has changed; called after the transaction that changed it. */
  changes: Changes
  /** Streams that tell open tabs of it. */
  streams: OpenStreams
  log: Log
  /** Who reads which review now. */
  presence: Presence
  /** Where long work is done. */
  workers: Workers
  /** Tells the job runner that something is due; called after the transaction that wrote the job. */
  wakeJobs: () => void
  /** Tells the job runner to end a job that is being done. */
  stopJob: (id: number) => void
}

const alphabet = '23456789abcdefghjkmnpqrstuvwxyz'

export function buildServices(
  given: Pick<Services, 'db' | 'signingKey' | 'publicUrl' | 'mediaFolder'> & Partial<Services>,
): Services {
  return {
    now: () => new Date(),
    newId: customAlphabet(alphabet, 16),
    newSecret: () => randomBytes(32).toString('base64url'),
    fetchOutside,
    allowedHosts: [],
    publishableReviews: buildPublishableReviews(),
    arrivalHistories: buildArrivalHistories(given.db, given.now ?? (() => new Date())),
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

/** Where nothing that takes long is asked for. */
const nobody: Workers = {
  run: async (name) => {
    throw new Error(`nobody does ${name} here`)
  },
  close: async () => undefined,
}
