import type { Knex } from 'knex'
import { createHash } from 'node:crypto'
import { revertibleActs } from '../../core/moderation/reviewAct'
import {
  changedParts,
  isSetPart,
  decisionStateSchema,
  type DecisionState,
} from '../../core/moderation/decisionState'
import { actorText, memberIdOf, type Actor } from '../../core/moderation/actor'
import { countRows } from './countRows'
import { insertRows, nextIds } from './insertRows'

/**
 * The decision log is append-only. Each entry contains the hash of the one before. Entries hold ids and
 * digests, no text.
 */
export interface Decision {
  id: number
  shopId: number
  number: number
  act: string
  memberId: number | null
  reviewId: number | null
  displayId: number | null
  undoesId: number | null
  before: string
  after: string
  digest: string
  at: string
  previousHash: string
  hash: string
  /** Other actors than members; null for members, and in entries from before actors were stored. */
  actor: string | null
  /** Groups the entries of one action on several reviews. It is not part of the hash. */
  batch: string | null
}

type NewDecision = Pick<Decision, 'shopId' | 'act' | 'digest' | 'at'> &
  Partial<Pick<Decision, 'reviewId' | 'displayId' | 'undoesId' | 'batch'>> & {
    actor: Actor
    before: Record<string, unknown>
    after: Record<string, unknown>
  }

const columns = {
  id: 'decision.id',
  shopId: 'decision.shop_id',
  number: 'decision.number',
  act: 'decision.act',
  memberId: 'decision.member_id',
  reviewId: 'decision.review_id',
  displayId: 'decision.display_id',
  undoesId: 'decision.undoes_id',
  before: 'decision.before',
  after: 'decision.after',
  digest: 'decision.digest',
  at: 'decision.at',
  actor: 'decision.actor',
  previousHash: 'decision.previous_hash',
  hash: 'decision.hash',
  batch: 'decision.batch',
}

const FIRST_HASH = '0'.repeat(64)

const partialPoint = decisionStateSchema.partial()

/** The state before and after. Entries written before a property existed lack it. */
export function readDecisionStates(entry: Pick<Decision, 'before' | 'after'>): {
  before: Partial<DecisionState>
  after: Partial<DecisionState>
} {
  return {
    before: partialPoint.parse(JSON.parse(entry.before)),
    after: partialPoint.parse(JSON.parse(entry.after)),
  }
}

export function hashOf(entry: Omit<Decision, 'id' | 'hash' | 'batch'>): string {
  const sealed = [
    entry.shopId,
    entry.number,
    entry.act,
    entry.memberId,
    entry.reviewId,
    entry.displayId,
    entry.undoesId,
    entry.before,
    entry.after,
    entry.digest,
    entry.at,
    entry.previousHash,
    // Entries from before actors were stored have none.
    ...(entry.actor === null ? [] : [entry.actor]),
  ]
  return createHash('sha256').update(JSON.stringify(sealed)).digest('hex')
}

/** Appends an entry. Call it in the transaction of the change, after the first write. Returns its id. */
export async function appendDecision(trx: Knex.Transaction, entry: NewDecision): Promise<number> {
  return appendDecisions(trx, entry.shopId, [entry])
}

/** Appends entries in their order. Returns the id of the first. */
export async function appendDecisions(
  trx: Knex.Transaction,
  shopId: number,
  entries: Omit<NewDecision, 'shopId'>[],
): Promise<number> {
  const last = await trx('decision')
    .where({ shop_id: shopId })
    .orderBy('number', 'desc')
    .first<{ number: number; hash: string } | undefined>('number', 'hash')
  const { decision: firstId } = await nextIds(trx, 'decision')
  let previousHash = last?.hash ?? FIRST_HASH
  const rows = entries.map((entry, i) => {
    const row = {
      shopId,
      number: (last?.number ?? 0) + 1 + i,
      act: entry.act,
      memberId: memberIdOf(entry.actor),
      reviewId: entry.reviewId ?? null,
      displayId: entry.displayId ?? null,
      undoesId: entry.undoesId ?? null,
      before: JSON.stringify(entry.before),
      after: JSON.stringify(entry.after),
      digest: entry.digest,
      at: entry.at,
      actor: actorText(entry.actor),
      previousHash,
    }
    previousHash = hashOf(row)
    return {
      id: firstId + i,
      shop_id: shopId,
      number: row.number,
      act: row.act,
      member_id: row.memberId,
      review_id: row.reviewId,
      display_id: row.displayId,
      undoes_id: row.undoesId,
      before: row.before,
      after: row.after,
      digest: row.digest,
      at: row.at,
      actor: row.actor,
      previous_hash: row.previousHash,
      hash: previousHash,
      batch: entry.batch ?? null,
    }
  })
  await insertRows(trx, 'decision', rows)
  return firstId
}

export async function decisionsOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<(Decision & { memberName: string | null })[]> {
  return db('decision')
    .leftJoin('member', 'member.id', 'decision.member_id')
    .where({ 'decision.shop_id': shopId, 'decision.review_id': reviewId })
    .orderBy('decision.number')
    .select({ ...columns, memberName: 'member.name' })
}

/** The entries of somebody in a shop's log. */
const entriesOf = (db: Knex, shopId: number, actor: Actor): Knex.QueryBuilder =>
  db('decision').where({
    'decision.shop_id': shopId,
    ...(actor.kind === 'member'
      ? { 'decision.member_id': actor.memberId }
      : { 'decision.actor': actorText(actor) }),
  })

/** Somebody's latest decision on a review that has not been reverted. */
export async function latestStandingAct(
  db: Knex,
  shopId: number,
  actor: Actor,
  passing: number[],
): Promise<Decision | undefined> {
  return entriesOf(db, shopId, actor)
    .whereIn('decision.act', revertibleActs)
    .whereNotIn('decision.id', passing)
    .whereNotExists(db('decision as undo').whereRaw('undo.undoes_id = decision.id'))
    .orderBy('decision.id', 'desc')
    .first(columns)
}

/** Somebody's latest entry since a time, with the author of its review. */
export async function latestActOf(
  db: Knex,
  shopId: number,
  actor: Actor,
  since: string,
): Promise<
  { number: number; act: string; after: string; batch: string | null; authorName: string } | undefined
> {
  return entriesOf(db, shopId, actor)
    .join('review', 'review.id', 'decision.review_id')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .where('decision.at', '>=', since)
    .orderBy('decision.id', 'desc')
    .first({
      number: 'decision.number',
      act: 'decision.act',
      after: 'decision.after',
      batch: 'decision.batch',
      authorName: 'review_version.author_name',
    })
}

/** The latest entry about a review. */
export async function latestActOn(db: Knex, shopId: number, reviewId: number): Promise<Decision | undefined> {
  return db('decision')
    .where({ shop_id: shopId, review_id: reviewId })
    .orderBy('number', 'desc')
    .first(columns)
}

/** The number of entries of one action on several reviews. */
export async function countBatch(db: Knex, shopId: number, batch: string): Promise<number> {
  return countRows(db('decision').where({ shop_id: shopId, batch }))
}

/** The decisions of a batch that are still effective, latest first. */
export async function standingOfBatch(db: Knex, shopId: number, batch: string): Promise<Decision[]> {
  return db('decision')
    .where({ 'decision.shop_id': shopId, 'decision.batch': batch })
    .whereIn('decision.act', revertibleActs)
    .whereNotExists(db('decision as undo').whereRaw('undo.undoes_id = decision.id'))
    .orderBy('decision.id', 'desc')
    .select(columns)
}

/**
 * The entries of an intake that no other reverts, latest first: those that are in effect, or those that revert
 * others.
 */
export async function latestOfIntake(
  db: Knex,
  shopId: number,
  intake: string,
  { before, undone, limit }: { before: number; undone: boolean; limit: number },
): Promise<Decision[]> {
  const query = db('decision')
    .where({ 'decision.shop_id': shopId, 'decision.batch': intake })
    .where('decision.id', '<', before)
    .whereNotExists(db('decision as undo').whereRaw('undo.undoes_id = decision.id'))
    .orderBy('decision.id', 'desc')
    .limit(limit)
    .select(columns)
  return undone ? query.where('decision.act', 'undoIntake') : query.whereNot('decision.act', 'undoIntake')
}

export const countOfIntake = (db: Knex, shopId: number, intake: string): Promise<number> =>
  countRows(db('decision').where({ shop_id: shopId, batch: intake, undoes_id: null }))

/** A decision by its number in the log, if it is still effective. */
export async function standingAct(
  db: Knex,
  shopId: number,
  reviewId: number,
  number: number,
): Promise<Decision | undefined> {
  return db('decision')
    .where({ 'decision.shop_id': shopId, 'decision.review_id': reviewId, 'decision.number': number })
    .whereIn('decision.act', revertibleActs)
    .whereNotExists(db('decision as undo').whereRaw('undo.undoes_id = decision.id'))
    .first(columns)
}

export async function isUndone(db: Knex, decisionId: number): Promise<boolean> {
  return (await db('decision').where({ undoes_id: decisionId }).first('id')) !== undefined
}

/** Whether a later effective decision has changed the same part of the review. */
export async function isOvertaken(trx: Knex.Transaction, decision: Decision): Promise<boolean> {
  const later: Decision[] = await trx('decision')
    .where({ shop_id: decision.shopId, review_id: decision.reviewId })
    .where('decision.id', '>', decision.id)
    .whereIn('decision.act', revertibleActs)
    .whereNotExists(trx('decision as undo').whereRaw('undo.undoes_id = decision.id'))
    .select(columns)
  const partsOf = (entry: Decision) => {
    const { before, after } = readDecisionStates(entry)
    return changedParts(before, after).filter((part) => !isSetPart(part))
  }
  const own = partsOf(decision)
  return later.some((entry) => partsOf(entry).some((part) => own.includes(part)))
}

export type ChainCheck =
  | { holds: true; entries: number }
  | { holds: false; brokenAt: number; entries: number }

/** Recomputes the hash of each entry of a shop's log. */
export async function verifyChain(db: Knex, shopId: number): Promise<ChainCheck> {
  const entries: Decision[] = await db('decision')
    .where({ shop_id: shopId })
    .orderBy('number')
    .select(columns)
  let previousHash = FIRST_HASH
  for (const [i, entry] of entries.entries()) {
    if (entry.number !== i + 1 || entry.previousHash !== previousHash || entry.hash !== hashOf(entry))
      return { holds: false, brokenAt: i + 1, entries: entries.length }
    previousHash = entry.hash
  }
  return { holds: true, entries: entries.length }
}
