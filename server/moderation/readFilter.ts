import { startOfDay } from '../../core/formats/dates'
import { WHOLE_SHOP, type ReviewFilter } from '../../core/moderation/reviewFilter'
import type { ReviewState } from '../../core/moderation/rules'
import { fullTextQuery } from '../../core/moderation/searchWords'
import { findForm } from '../data/forms'
import type { LaneFilter } from '../data/laneFilter'
import { productWithSku } from '../data/products'
import type { Shop } from '../data/shops'
import { findTag } from '../data/tags'
import type { Services } from '../services'

/** A question and an answer, from `ID:ANSWER`. */
function answerIn(asked: string): LaneFilter['answer'] {
  const at = asked.indexOf(':')
  return { question: asked.slice(0, at), value: asked.slice(at + 1) }
}

/** Converts a filter to database values: products and tags to ids, days to times. */
export async function readFilter(
  { db }: Services,
  shop: Shop,
  state: ReviewState,
  asked: ReviewFilter,
): Promise<LaneFilter> {
  const yes = (answer: 'yes' | 'no' | undefined) => (answer === undefined ? null : answer === 'yes')
  const productId = async () => {
    if (asked.product === undefined) return null
    if (asked.product === WHOLE_SHOP) return 0
    return (await productWithSku(db, shop.id, asked.product))?.id ?? -1
  }
  const words = asked.q === undefined ? null : fullTextQuery(asked.q)
  return {
    state,
    rating: asked.rating === undefined ? null : asked.rating * 100,
    productId: await productId(),
    source: asked.source ?? null,
    language: asked.language === undefined ? null : asked.language === '-' ? '' : asked.language,
    verified: yes(asked.bought),
    hasText: yes(asked.words),
    needsReply: yes(asked.needsReply),
    tagId: asked.tag === undefined ? null : ((await findTag(db, shop.id, asked.tag))?.id ?? -1),
    formId: asked.form === undefined ? null : ((await findForm(db, shop.id, asked.form))?.id ?? -1),
    answer: asked.answer === undefined ? null : answerIn(asked.answer),
    media: asked.media ?? null,
    from: asked.from === undefined ? null : startOfDay(shop.timeZone, asked.from),
    before: asked.to === undefined ? null : startOfDay(shop.timeZone, asked.to, 1),
    words,
    // The full-text index can only sort by arrival.
    sort: words === null ? (asked.sort ?? 'newest') : asked.sort === 'oldest' ? 'oldest' : 'newest',
  }
}
