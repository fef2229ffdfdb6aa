import type { Asked } from '../../core/display/displayModel'
import { allOfDisplay, displayPage, displayVariant, partOfDisplay } from '../publishing/variants'
import type { Services } from '../services'
import { displayJson, displayPart, visitorPage } from './displayAnswers'
import type { Prepared } from './prepared'
import type { AnswerKind } from './answerKind'

const making: Record<
  AnswerKind,
  {
    make: (services: Services, key: string, asked: Asked) => Promise<string | null>
    prepare: (body: string) => Prepared
  }
> = {
  '.json': { make: displayVariant, prepare: displayJson },
  '': { make: displayPage, prepare: visitorPage },
  '/part': { make: partOfDisplay, prepare: displayPart },
  '/all': { make: allOfDisplay, prepare: visitorPage },
}

/** Renders and compresses a variant of a display; null if it isn't published. */
export async function makeVariant(
  services: Services,
  { key, kind, asked }: { key: string; kind: AnswerKind; asked: Asked },
): Promise<Prepared | null> {
  const { make, prepare } = making[kind]
  const body = await make(services, key, asked)
  return body === null ? null : prepare(body)
}
