import { keysOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import type { ReviewSort } from '../../core/moderation/reviewFilter'
import { siteSources, type Source } from '../../core/intake/sourcePolicy'
import { openStates, type ReviewState } from '../../core/moderation/rules'
import { countRows } from './countRows'

/** A list with its filters and order, in database values; null means no filter. */
export interface LaneFilter {
  state: ReviewState
  /** Hundredths of five, 0 for none. */
  rating: number | null
  /** 0 for the shop in general, -1 for an unknown product. */
  productId: number | null
  source: Source | null
  /** '' for those whose language is not known. */
  language: string | null
  verified: boolean | null
  hasText: boolean | null
  needsReply: boolean | null
  /** -1 for an unknown tag. */
  tagId: number | null
  /** -1 for an unknown form. */
  formId: number | null
  answer: { question: string; value: string } | null
  media: 'photo' | 'video' | null
  /** Received from this moment on, and before that one. */
  from: string | null
  before: string | null
  /** An FTS5 query. */
  words: string | null
  sort: ReviewSort
}

/** On another site the shop replies there. */
const NEEDS_NO_REPLY = `(review.needs_reply = 0 OR review.source IN (${siteSources.map(() => '?').join(', ')}))`

export const wholeLane = (state: ReviewState): LaneFilter => ({
  state,
  rating: null,
  productId: null,
  source: null,
  language: null,
  verified: null,
  hasText: null,
  needsReply: null,
  tagId: null,
  formId: null,
  answer: null,
  media: null,
  from: null,
  before: null,
  words: null,
  sort: 'newest',
})

/** Each column has its own index within a list, and is part of the counters. */
const columns = {
  rating: 'rating_stars',
  productId: 'product_key',
  source: 'source',
  language: 'language',
  verified: 'verified',
  hasText: 'has_text',
  needsReply: 'needs_reply',
} as const
export type CountedPart = keyof typeof columns
export const countedParts: CountedPart[] = keysOf(columns)

export function countedIn(filter: LaneFilter): { part: CountedPart; value: string | number | boolean }[] {
  return countedParts.flatMap((part) => {
    const value = filter[part]
    return value === null ? [] : [{ part, value }]
  })
}

export function hasCounters({ tagId, formId, answer, media, from, before, words }: LaneFilter): boolean {
  return [tagId, formId, answer, media, from, before, words].every((part) => part === null)
}

/** Whether words are all that a filter asks for. */
export const asksForWordsAlone = (filter: LaneFilter): boolean =>
  filter.words !== null && hasCounters({ ...filter, words: null }) && countedIn(filter).length === 0

/** Groups are collapsed only in an unfiltered list of undecided reviews. */
export function collapsesGroups(filter: LaneFilter): boolean {
  return openStates.includes(filter.state) && hasCounters(filter) && countedIn(filter).length === 0
}

/** Keeps the latest review of each group. */
export function collapsed(query: Knex.QueryBuilder): Knex.QueryBuilder {
  return query.whereRaw(`(review.group_id IS NULL OR NOT EXISTS (
    SELECT 1 FROM review AS later
    WHERE later.group_id = review.group_id AND later.state = review.state AND later.id > review.id))`)
}

/** Column and id go in the same direction, so that one index can answer the query. */
export function sortKey(filter: LaneFilter): { column: string; direction: 'asc' | 'desc' } {
  const byDate = filter.from !== null || filter.before !== null
  switch (filter.sort) {
    case 'oldest':
      return { column: byDate ? 'received_at' : 'id', direction: 'asc' }
    case 'lowest':
      return { column: 'rating_stars', direction: 'asc' }
    case 'highest':
      return { column: 'rating_stars', direction: 'desc' }
    case 'suspicious':
      return { column: 'score', direction: 'desc' }
    case 'newest':
      return { column: byDate ? 'received_at' : 'id', direction: 'desc' }
  }
}

/** Parts of a filter that are not counted for each list. */
const listedParts = ['tagId', 'formId', 'answer'] as const
type ListedPart = (typeof listedParts)[number]
/** A part of a filter that can lead a query. */
export type LeadingPart = CountedPart | ListedPart

/** The number of reviews that each such part of a filter lets through, whatever their list, up to a limit. */
export async function listedIn(
  db: Knex,
  filter: LaneFilter,
  limit: number,
): Promise<{ part: ListedPart; count: number }[]> {
  const { tagId, formId, answer } = filter
  const rows: Record<ListedPart, Knex.QueryBuilder | null> = {
    tagId: tagId === null ? null : db('review_tag').where({ tag_id: tagId }),
    formId: formId === null ? null : db('review').where({ form_id: formId }),
    answer: answer && db('review_answer').where(answer),
  }
  const counts: { part: ListedPart; count: number }[] = []
  for (const part of listedParts) {
    const found = rows[part]?.limit(limit).select(db.raw('1'))
    if (found) counts.push({ part, count: await countRows(db.from(found.as('found'))) })
  }
  return counts
}

/**
 * SQLite has no statistics here, so the query names what leads it: the index of the sort order, otherwise the most
 * selective part of the filter.
 * @param rarest the most selective part
 */
export function filtered(
  db: Knex,
  shopId: number,
  filter: LaneFilter,
  rarest: LeadingPart | null,
): Knex.QueryBuilder {
  const query = db.from(db.raw(tablesFor(filter, rarest)))
  if (filter.words !== null)
    query.whereRaw(
      'review_text MATCH ?',
      `scope:shop${shopId}${filter.state} AND ({title body author_name}: (${filter.words}))`,
    )
  query.where({ 'review.shop_id': shopId, 'review.state': filter.state })
  for (const { part, value } of countedIn(filter)) {
    if (part !== 'needsReply') query.where(`review.${columns[part]}`, value)
    else if (value) query.where('review.needs_reply', true).whereNotIn('review.source', siteSources)
    else query.whereRaw(NEEDS_NO_REPLY, siteSources)
  }
  if (rarest === 'tagId') query.where('review_tag.tag_id', filter.tagId)
  else if (filter.tagId !== null)
    query.whereRaw(
      'EXISTS (SELECT 1 FROM review_tag WHERE tag_id = ? AND review_id = review.id)',
      filter.tagId,
    )
  if (filter.formId !== null) query.where('review.form_id', filter.formId)
  if (filter.answer !== null) {
    const { question, value } = filter.answer
    if (rarest === 'answer') query.where({ 'review_answer.question': question, 'review_answer.value': value })
    else
      query.whereRaw(
        'EXISTS (SELECT 1 FROM review_answer WHERE question = ? AND value = ? AND review_id = review.id)',
        [question, value],
      )
  }
  // The condition of the partial index.
  if (filter.media !== null) query.whereRaw(`review.photos > 0 AND ${HAS_MEDIA[filter.media]}`)
  if (filter.from !== null) query.where('review.received_at', '>=', filter.from)
  if (filter.before !== null) query.where('review.received_at', '<', filter.before)
  return query
}

const hasPhotoThat = (is: string) => `EXISTS (
  SELECT 1 FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
  WHERE version_photo.version_id = review.current_version_id AND photo.video ${is})`
const HAS_MEDIA = { photo: hasPhotoThat('IS NULL'), video: hasPhotoThat('IS NOT NULL') }

/** A CROSS JOIN keeps SQLite from changing the order of the tables. */
function tablesFor(filter: LaneFilter, rarest: LeadingPart | null): string {
  const thenWords = filter.words === null ? '' : ' CROSS JOIN review_text ON review_text.rowid = review.id'
  switch (rarest) {
    case 'tagId':
      return `review_tag CROSS JOIN review ON review.id = review_tag.review_id${thenWords}`
    case 'answer':
      return `review_answer CROSS JOIN review ON review.id = review_answer.review_id${thenWords}`
    case 'formId':
      return `review INDEXED BY review_by_form${thenWords}`
    default: {
      if (filter.words !== null) return 'review_text CROSS JOIN review ON review.id = review_text.rowid'
      if (rarest === null && filter.media !== null) return 'review INDEXED BY review_with_media'
      const { column } = sortKey(filter)
      if (column !== 'id') return `review INDEXED BY review_by_lane_${column}`
      return `review INDEXED BY ${rarest === null ? 'review_by_lane' : `review_by_lane_${columns[rarest]}`}`
    }
  }
}

/** Keeps what comes after a review in the order of the list, wherever it is now. */
export function after(query: Knex.QueryBuilder, filter: LaneFilter, reviewId: number): Knex.QueryBuilder {
  return onOneSide(query, filter, reviewId, sortKey(filter).direction === 'asc' ? '>' : '<')
}

/** Keeps what comes before a review in the order of the list. */
export function before(query: Knex.QueryBuilder, filter: LaneFilter, reviewId: number): Knex.QueryBuilder {
  return onOneSide(query, filter, reviewId, sortKey(filter).direction === 'asc' ? '<' : '>')
}

function onOneSide(
  query: Knex.QueryBuilder,
  filter: LaneFilter,
  reviewId: number,
  sign: '<' | '>',
): Knex.QueryBuilder {
  const { column } = sortKey(filter)
  if (column === 'id')
    return query.where(filter.words === null ? 'review.id' : 'review_text.rowid', sign, reviewId)
  return query.whereRaw(
    `(review.${column}, review.id) ${sign} (SELECT ${column}, id FROM review WHERE id = ?)`,
    reviewId,
  )
}

export function orderBy(query: Knex.QueryBuilder, filter: LaneFilter, backwards = false): Knex.QueryBuilder {
  const { column, direction } = sortKey(filter)
  const way = backwards === (direction === 'asc') ? 'desc' : 'asc'
  // Row numbers of the full-text index are review ids.
  const id = filter.words === null ? 'review.id' : 'review_text.rowid'
  if (column !== 'id') query.orderBy(`review.${column}`, way)
  return query.orderBy(id, way)
}
