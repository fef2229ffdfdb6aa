import type { Candidate } from '../../core/intake/candidate'
import type { Actor } from '../../core/moderation/actor'
import type { Intake } from '../data/intakes'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { receive } from './receive'

/** Reviews of one transaction, fewer while storing them takes long. */
const MOST_AT_ONCE = 200
const LEAST_AT_ONCE = 10
/** The time limit of a transaction; a waiting request waits at most this long. */
const WRITING_MS = 18

/** What a source brings: one file, page or check of a listing. */
interface Brought {
  intake: Intake
  actor: Actor
  candidates: AsyncIterable<Candidate> | Iterable<Candidate>
}

/**
 * Receives any number of reviews in short transactions. It can stop at any time: whatever brings the same
 * reviews again continues, because stored ones are known by their keys.
 * @throws TaskStopped when it was asked to stop
 */
export async function takeIn(
  services: Services,
  shop: Shop,
  { intake, actor, candidates }: Brought,
  control: TaskControl,
): Promise<void> {
  let atOnce = LEAST_AT_ONCE * 2
  let done = 0
  let waiting: Candidate[] = []
  const store = async () => {
    const { writingMs } = await receive(services, shop, { actor, intake, candidates: waiting })
    done += waiting.length
    const fitting = Math.round((waiting.length * WRITING_MS) / Math.max(1, writingMs))
    atOnce = Math.min(MOST_AT_ONCE, Math.max(LEAST_AT_ONCE, Math.min(fitting, 2 * atOnce)))
    waiting = []
    control.progress(done, null)
    if (control.isStopped()) throw new TaskStopped()
    control.giveWay()
  }
  for await (const candidate of candidates) {
    waiting.push(candidate)
    if (waiting.length >= atOnce) await store()
  }
  if (waiting.length > 0) await store()
}
