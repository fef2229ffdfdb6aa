import type {
  Business,
  OriginAdapter,
  OriginReview,
  OriginStep,
  ReviewPage,
  Suggestion,
} from './originAdapter'
import { OriginRefusal, type RefusalCode } from './originRefusal'

/** What can be asked of a site, as plain data. */
export type OriginQuestion =
  | { ask: 'suggest'; name: string }
  | { ask: 'describe'; id: string }
  | { ask: 'page'; id: string; cursor: string | null }
  | { ask: 'post'; id: string }

interface OriginReplies {
  suggest: Suggestion[]
  describe: Business
  page: ReviewPage
  post: OriginReview
}
export type OriginReply<Q extends OriginQuestion> = OriginReplies[Q['ask']]

/** @throws OriginRefusal if the site has no address for a single post */
export function stepFor(
  adapter: OriginAdapter,
  question: OriginQuestion,
  accessKey: string,
): OriginStep<OriginReplies[OriginQuestion['ask']]> {
  switch (question.ask) {
    case 'suggest':
      return adapter.suggest(question.name, accessKey)
    case 'describe':
      return adapter.describe(question.id, accessKey)
    case 'page':
      return adapter.page(question.id, question.cursor, accessKey)
    case 'post':
      if (!adapter.post) throw new OriginRefusal('unknown')
      return adapter.post(question.id)
  }
}

/** What an answer says, as plain data. */
export type ReadReply =
  | { reply: OriginReplies[OriginQuestion['ask']] }
  | { refusal: RefusalCode; retryAfter: number | null }
