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
import { tables } from './schema/tables'
import { insertAll, nextId, whereOf } from './rows'
import { hasRows, maybe, pick, readAll, readFirst, type Selected } from './select'
import { all } from './table'

const columns = all(tables.decision)

/**
 * The decision log is append-only. Each entry contains the hash of the one before. Entries hold ids and
 * digests, no text.
 */
export type Decision = Selected<typeof columns>

type NewDecision = Pick<Decision, 'shopId' | 'act' | 'digest' | 'at'> &
  Partial<Pick<Decision, 'reviewId' | 'displayId' | 'undoesId' | 'batch'>> & {
    actor: Actor
    before: Record<string, unknown>
    after: Record<string, unknown>
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
  const last = await readFirst(
    trx('decision').where({ shop_id: shopId }).orderBy('number', 'desc'),
    pick(tables.decision, 'number', 'hash'),
  )
  const firstId = await nextId(trx, tables.decision)
  let previousHash = last?.hash ?? FIRST_HASH
  const rows = entries.map((entry, i) => {
    const entryRow = {
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
    previousHash = hashOf(entryRow)
    return { id: firstId + i, ...entryRow, hash: previousHash, batch: entry.batch ?? null }
  })
  await insertAll(trx, tables.decision, rows)
  return firstId
}

export async function decisionsOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<(Decision & { memberName: string | null })[]> {
  return readAll(
    db('decision')
      .leftJoin('member', 'member.id', 'decision.member_id')
      .where(whereOf(tables.decision, { shopId, reviewId }))
      .orderBy('decision.number'),
    { ...columns, memberName: maybe(tables.member.name) },
  )
}

/** The entries of somebody in a shop's log. */
const entriesOf = (db: Knex, shopId: number, actor: Actor): Knex.QueryBuilder =>
  db('decision').where(
    whereOf(tables.decision, {
      shopId,
      ...(actor.kind === 'member' ? { memberId: actor.memberId } : { actor: actorText(actor) }),
    }),
  )

/** Those that no later one reverts. */
const standing = (db: Knex, query: Knex.QueryBuilder): Knex.QueryBuilder =>
  query.whereNotExists(db('decision as undo').whereRaw('undo.undoes_id = decision.id'))

/** Those that can be reverted, and are not. */
const revertible = (db: Knex, query: Knex.QueryBuilder): Knex.QueryBuilder =>
  standing(db, query).whereIn('decision.act', revertibleActs)

/** Somebody's latest decision on a review that has not been reverted. */
export async function latestStandingAct(
  db: Knex,
  shopId: number,
  actor: Actor,
  passing: number[],
): Promise<Decision | undefined> {
  const query = entriesOf(db, shopId, actor).whereNotIn('decision.id', passing).orderBy('decision.id', 'desc')
  return readFirst(revertible(db, query), columns)
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
  return readFirst(
    entriesOf(db, shopId, actor)
      .join('review', 'review.id', 'decision.review_id')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .where('decision.at', '>=', since)
      .orderBy('decision.id', 'desc'),
    {
      ...pick(tables.decision, 'number', 'act', 'after', 'batch'),
      ...pick(tables.reviewVersion, 'authorName'),
    },
  )
}

/** The latest entry about a review. */
export async function latestActOn(db: Knex, shopId: number, reviewId: number): Promise<Decision | undefined> {
  return readFirst(
    db('decision').where(whereOf(tables.decision, { shopId, reviewId })).orderBy('number', 'desc'),
    columns,
  )
}

/** The number of a shop's latest entry; 0 if there is none. */
export async function latestEntry(db: Knex, shopId: number): Promise<number> {
  const query = db('decision').where({ shop_id: shopId }).orderBy('number', 'desc')
  return (await readFirst(query, pick(tables.decision, 'number')))?.number ?? 0
}

/** The number of entries of one action on several reviews. */
export async function countBatch(db: Knex, shopId: number, batch: string): Promise<number> {
  return countRows(db('decision').where({ shop_id: shopId, batch }))
}

/** The decisions of a batch that are still effective, latest first. */
export async function standingOfBatch(db: Knex, shopId: number, batch: string): Promise<Decision[]> {
  const query = db('decision')
    .where(whereOf(tables.decision, { shopId, batch }))
    .orderBy('decision.id', 'desc')
  return readAll(revertible(db, query), columns)
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
    .where(whereOf(tables.decision, { shopId, batch: intake }))
    .where('decision.id', '<', before)
    .where('decision.act', undone ? '=' : '<>', 'undoIntake')
    .orderBy('decision.id', 'desc')
    .limit(limit)
  return readAll(standing(db, query), columns)
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
  const query = db('decision').where(whereOf(tables.decision, { shopId, reviewId, number }))
  return readFirst(revertible(db, query), columns)
}

export const isUndone = (db: Knex, decisionId: number): Promise<boolean> =>
  hasRows(db('decision').where({ undoes_id: decisionId }))

/** Whether a later effective decision has changed the same part of the review. */
export async function isOvertaken(trx: Knex.Transaction, decision: Decision): Promise<boolean> {
  const { shopId, reviewId } = decision
  const query = trx('decision')
    .where(whereOf(tables.decision, { shopId, reviewId }))
    .where('decision.id', '>', decision.id)
  const later = await readAll(revertible(trx, query), columns)
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
  const entries = await readAll(db('decision').where({ shop_id: shopId }).orderBy('number'), columns)
  let previousHash = FIRST_HASH
  for (const [i, entry] of entries.entries()) {
    if (entry.number !== i + 1 || entry.previousHash !== previousHash || entry.hash !== hashOf(entry))
      return { holds: false, brokenAt: i + 1, entries: entries.length }
    previousHash = entry.hash
  }
  return { holds: true, entries: entries.length }
}
