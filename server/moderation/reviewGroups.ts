import { asSystem } from '../../core/moderation/actor'
import type { Knex } from 'knex'
import { z } from 'zod'
import { messageCode } from '../../core/messages/code'
import type { ArrivalHistory } from '../../core/moderation/memory/shopHistory'
import { compareGroup, type Oddity } from '../../core/moderation/compareGroup'
import { openStates, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { spamScore } from '../../core/moderation/spamScore'
import { confirmationOf, replaceRenewedSignals } from '../data/confirmations'
import { countInGroup, membersOfGroup, openWithout, putTogether, type MemberLine } from '../data/groups'
import { readDecisionState } from '../data/decisionStates'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import { insertSignals, setScore } from '../data/reviewWriting'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Job } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'
import { digestOfVersion } from './digest'
import { judgeAgain, moveByRules } from './judgeAgain'

/** Queues the job that holds back the earlier members of an attack. */
export const HOLD_CROWD = 'holdCrowd'

/**
 * Assigns an arrival to the group of its near-copies and its burst. If a burst proves to be an attack, a job
 * holds back the earlier undecided members.
 */
export async function assignReviewGroup(
  trx: Knex.Transaction,
  shop: Shop,
  { publicId, signals }: { publicId: string; signals: Signal[] },
  { near, burst }: ArrivalHistory,
  now: string,
): Promise<void> {
  const copies = signals.some(({ kind }) => kind === 'nearcopy') ? near.map(({ id }) => id) : []
  const crowd = burst?.members ?? []
  if (copies.length + crowd.length === 0) return
  await putTogether(trx, shop.id, [publicId, ...copies, ...crowd], now)
  const sign = signals.find(({ kind }) => kind === 'burst')
  if (!sign) return
  await enqueue(trx, {
    shopId: shop.id,
    kind: HOLD_CROWD,
    uniqueKey: `${HOLD_CROWD}:${publicId}`,
    payload: { crowd, sign },
    dueAt: now,
  })
}

const holdSchema = z.object({ crowd: z.array(z.string()), sign: z.custom<Signal>() })

/** Holds back the earlier members of an attack, each in its own transaction, because there can be many. */
export async function holdCrowd(services: Services, job: Job): Promise<void> {
  const { db, now } = services
  const { crowd, sign } = holdSchema.parse(job.payload)
  const shop = await findShop(db, job.shopId!)
  for (const member of await openWithout(db, shop.id, crowd, 'burst'))
    await writing(db, (trx) => holdWithCrowd(trx, shop, member, sign, now().toISOString()))
  services.changes.announce(shop.id, 'reviews')
}

async function holdWithCrowd(
  trx: Knex.Transaction,
  shop: Shop,
  publicId: string,
  sign: Signal,
  now: string,
): Promise<void> {
  const review = await findReview(trx, shop.id, { publicId })
  if (!review || !openStates.includes(review.state)) return
  const known = await signalsOfVersion(trx, shop.id, review.versionId)
  if (known.some(({ kind }) => kind === 'burst')) return
  const stored = await confirmationOf(trx, shop.id, review.id)
  if (stored.decidedByPerson) return
  const joined = { ...sign, detail: messageCode('group.joined') }
  await insertSignals(trx, shop.id, [{ versionId: review.versionId, signals: [joined] }])
  const score = spamScore([...known, sign])
  const judged = await judgeAgain(trx, shop, stored, { score, kinds: [...stored.kinds, sign.kind] })
  await replaceRenewedSignals(trx, shop.id, stored.versionId, judged.renewed)
  await setScore(trx, shop.id, review.id, score)
  const before = await readDecisionState(trx, shop.id, review.id)
  await moveByRules(trx, shop, stored, before, judged, {
    act: 'join',
    actor: asSystem,
    digest: digestOfVersion(review),
    at: now,
  })
}

/** A review's group for the person who decides. */
export interface GroupView {
  /** Those that wait for a decision, latest first. */
  open: (MemberLine & { odd: Oddity[] })[]
  /** Those that are published. */
  approved: MemberLine[]
  /** The number of similar reviews marked as spam. */
  spam: number
  /** Whether they share text, and not only the time of arrival. */
  sameWords: boolean
}

const SHOWN_OPEN = 500
const SHOWN_APPROVED = 20
const COMPARED_SPAM = 20

/** Null if the review is alone or nothing is left to decide. */
export async function groupView(
  db: Knex,
  shopId: number,
  review: { groupId: number | null; state: ReviewState },
): Promise<GroupView | null> {
  if (review.groupId === null || !openStates.includes(review.state)) return null
  const inStates = (states: ReviewState[], limit: number) =>
    membersOfGroup(db, shopId, review.groupId!, states, limit)
  const open = await inStates(openStates, SHOWN_OPEN)
  const approved = await inStates(['approved'], SHOWN_APPROVED)
  const spam = await countInGroup(db, shopId, review.groupId, 'spam')
  if (open.length + approved.length + spam < 2) return null
  const compared = [...open, ...approved, ...(await inStates(['spam'], COMPARED_SPAM))]
  const { odd, sameWords } = compareGroup(
    compared.map((member) => ({ ...member, product: member.productTitle ?? '' })),
  )
  return {
    open: open.map((member) => ({ ...member, odd: odd.get(member.publicId) ?? [] })),
    approved,
    spam,
    sameWords,
  }
}
