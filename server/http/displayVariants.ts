import { readAsked } from '../../core/display/asked'
import type { Asked } from '../../core/display/displayModel'
import { allOfDisplay, displayPage, displayVariant } from '../publishing/variants'
import type { Services } from '../services'
import { displayJson, visitorPage } from './displayAnswers'
import type { LiveDisplays } from './liveDisplays'
import type { Prepared } from './prepared'

/** The kinds of answers that a live display gives: data for a page's box, a page of its own, and all it is about. */
export type AnswerKind = '.json' | '' | '/all'

const making: Record<
  AnswerKind,
  {
    make: (services: Services, key: string, asked: Asked) => Promise<string | null>
    prepare: (body: string) => Prepared
  }
> = {
  '.json': { make: displayVariant, prepare: displayJson },
  '': { make: displayPage, prepare: visitorPage },
  '/all': { make: allOfDisplay, prepare: visitorPage },
}

/** Answers what a page asks of a live display, from memory where somebody asked the same before. */
export function displayVariants(services: Services, live: LiveDisplays) {
  return async (key: string, kind: AnswerKind, query: URLSearchParams): Promise<Prepared | null> => {
    const asked = readAsked(query)
    if (kind === '.json' && Object.keys(asked).length === 0) return live.json(key) ?? null
    const { make, prepare } = making[kind]
    return live.variant(key, kind + JSON.stringify(asked), async () => {
      const body = await make(services, key, asked)
      return body === null ? null : prepare(body)
    })
  }
}
export type DisplayVariants = ReturnType<typeof displayVariants>
