import path from 'node:path'
import { cleanUp } from './cleanUp/cleanUp'
import { runCheckListing } from './listing/checkListing'
import { CHECK_LISTING } from './listing/checkListingJob'
import { runUndoIntake } from './collection/undoIntake'
import { UNDO_INTAKE } from './collection/undoIntakeJob'
import { runMoveReviews } from './collection/moveReviews'
import { MOVE_REVIEWS } from './collection/moveReviewsJob'
import type { JobKinds } from './jobs/job'
import { SEND_MAIL, sendMail, TRIES as MAIL_TRIES } from './mail/outbox'
import { DIGEST, sendDigest } from './mail/notifyMembers'
import { HOLD_CROWD, holdCrowd } from './moderation/reviewGroups'
import { sweepMedia } from './media/sweepMedia'
import { IMPORT_ORDERS, runOrderImport } from './proof/ordersUpload'
import { sweepVideoPieces } from './media/videoPieces'
import { sweepIncoming } from './proof/incoming'
import { rebuildDisplays } from './publishing/rebuildDisplays'
import type { Publication } from './publishing/published'
import { REBUILD } from './publishing/staleDisplays'
import type { Services } from './services'

const MINUTE_MS = 60_000
const HOUR_MS = 60 * MINUTE_MS

/** The handler of each kind of job. */
export function jobKinds(services: Services, publication: Publication): JobKinds {
  const startedAt = services.now().getTime()
  return {
    [REBUILD]: {
      atOnce: 1,
      tries: 20,
      quietMs: 10 * MINUTE_MS,
      run: async (job, { signal }) => {
        await rebuildDisplays(services, publication, job, signal)
      },
    },
    // Emails are sent in parallel, so that a slow mail server doesn't delay others.
    [SEND_MAIL]: {
      atOnce: 4,
      tries: MAIL_TRIES,
      quietMs: 2 * MINUTE_MS,
      run: async (job) => {
        await sendMail(services, job)
      },
    },
    [DIGEST]: {
      atOnce: 1,
      tries: 12,
      quietMs: 2 * MINUTE_MS,
      run: async (job) => {
        await sendDigest(services, job)
      },
    },
    [IMPORT_ORDERS]: {
      atOnce: 1,
      tries: 5,
      quietMs: 2 * MINUTE_MS,
      kept: true,
      run: (job, control) => runOrderImport(services, job, control),
    },
    [MOVE_REVIEWS]: {
      atOnce: 1,
      tries: 12,
      quietMs: 10 * MINUTE_MS,
      run: (job, { signal }) => runMoveReviews(services, job, signal).then(() => undefined),
    },
    [UNDO_INTAKE]: {
      atOnce: 1,
      tries: 12,
      quietMs: 2 * MINUTE_MS,
      run: (job, control) => runUndoIntake(services, job, control).then(() => undefined),
    },
    // Different sites are checked in parallel. A check that gave up would never come back.
    [CHECK_LISTING]: {
      atOnce: 4,
      tries: Infinity,
      quietMs: 2 * MINUTE_MS,
      run: (job, control) => runCheckListing(services, job, control).then(() => undefined),
    },
    [HOLD_CROWD]: {
      atOnce: 1,
      tries: 12,
      quietMs: 2 * MINUTE_MS,
      run: async (job) => {
        await holdCrowd(services, job)
      },
    },
    cleanUp: {
      atOnce: 1,
      tries: 12,
      quietMs: 10 * MINUTE_MS,
      everyMs: HOUR_MS,
      run: () => cleanUp(services),
    },
    // Not while the application starts.
    backup: {
      atOnce: 1,
      tries: 12,
      quietMs: 2 * HOUR_MS,
      everyMs: HOUR_MS,
      run: async () => {
        if (services.now().getTime() - startedAt < 10 * MINUTE_MS) return
        const dataFolder = path.dirname(services.mediaFolder)
        await services.workers.run('backUp', { dataFolder, at: services.now().toISOString() })
      },
    },
    sweepMedia: {
      atOnce: 1,
      tries: 12,
      quietMs: 10 * MINUTE_MS,
      everyMs: HOUR_MS,
      run: async () => ({
        files:
          (await sweepMedia(services)) + (await sweepIncoming(services)) + (await sweepVideoPieces(services)),
      }),
    },
  }
}
