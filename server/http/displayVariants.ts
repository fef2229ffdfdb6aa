import { OWN_REVIEWS, readAsked } from '../../core/display/asked'
import { PAGE } from '../../core/listing/sheet/page'
import type { Services } from '../services'
import type { AnswerKind } from './answerKind'
import type { LiveDisplays } from './liveDisplays'
import { asBuffers, type Prepared } from './prepared'

/** Answers with a variant of a display, from memory if it was requested before. */
export function displayVariants(
  { workers, origins }: Pick<Services, 'workers' | 'origins'>,
  live: LiveDisplays,
) {
  const known = new Set([OWN_REVIEWS, PAGE, ...origins.map(({ origin }) => origin)])
  return async (key: string, kind: AnswerKind, query: URLSearchParams): Promise<Prepared | null> => {
    const asked = readAsked(query)
    // Made-up sites would each make a variant.
    if (asked.origin !== undefined && !known.has(asked.origin)) delete asked.origin
    // Only a display's own page, and the parts of one, have further pages; elsewhere each number would make a variant.
    if (kind === '.json' || kind === '/all') delete asked.page
    // Most pages ask for the shop's own language: they get the same bytes as pages that ask for nothing.
    if (kind === '.json' && asked.language && live.isIn(key, asked.language)) delete asked.language
    if (kind === '.json' && Object.keys(asked).length === 0) return live.json(key) ?? null
    return live.variant(key, kind + JSON.stringify(asked), async () => {
      const made = await workers.run('makeVariant', { key, kind, asked })
      return made && asBuffers(made)
    })
  }
}
export type DisplayVariants = ReturnType<typeof displayVariants>
