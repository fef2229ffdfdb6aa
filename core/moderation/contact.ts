import { say } from '../words/say'
import { placesOf, stretches, textAt, type Signal, type Words } from './signal'

/** Points for asking readers to get in touch; with one other sign it reaches held (60). */
export const CONTACT_POINTS = 30

/** "They promised to call me" tells of a shop that did not; only a request to the reader counts. */
const notTold =
  /(?:\b(?:to|they|he|she|nobody|never|not|would|will|could|did|does|staff|support|team|you|please do not|please don't)|n['’]t)\s+(?:even\s+)?$/iu

const english =
  /\b(?:(?:message|msg|dm|pm|text|inbox|whisper|e-?mail|contact|ring|call)\s+me\b(?!\s+(?:an?|old|crazy|picky|fussy|biased|back)\b)|write\s+(?:to\s+)?me\b|hit\s+me\s+up|reach\s+(?:me|us|out\s+to\s+me)\b|add\s+me\s+on\b|get\s+in\s+touch\s+with\s+me|my\s+(?:dms?|inbox)\s+(?:is|are)\s+open)/giu
const others = [
  /\b(?:schreib(?:t|en\s+sie)?\s+mir|kontaktier(?:e|t|en\s+sie)?\s+mich|meld(?:e|et)\s+(?:dich|euch)\s+bei\s+mir|melden\s+sie\s+sich\s+bei\s+mir|ruf(?:t|en\s+sie)?\s+mich\s+an)/giu,
  /(?:contactez[-\s]moi|contacte[-\s]moi|[ée]cri(?:vez|s)[-\s]moi|appel(?:ez|le)[-\s]moi)/giu,
  /(?:escr[ií]b(?:e|a)me|cont[aá]cta(?:me|nos)|ll[aá]m(?:a|e)me|m[aá]nd(?:a|e)me\s+un\s+mensaje)/giu,
  /(?:napisz\s+do\s+mnie|zadzwoń\s+do\s+mnie|skontaktuj\s+się\s+ze\s+mną)/giu,
  /(?:scrivimi|contattami|chiamami)/giu,
  /\b(?:stuur\s+me\s+een|bel\s+me|neem\s+contact\s+met\s+me)/giu,
]

function findRequests(text: string): { start: number; end: number }[] {
  const asked = stretches(text, english).filter(({ start }) => !notTold.test(text.slice(0, start)))
  return [...asked, ...others.flatMap((pattern) => stretches(text, pattern))].sort(
    (a, b) => a.start - b.start,
  )
}

/** The words ask readers to get in touch with the writer. */
export function contactSignal(words: Words): Signal | null {
  const places = placesOf(words, findRequests)
  if (places.length === 0) return null
  return {
    kind: 'contact',
    points: CONTACT_POINTS,
    headline: say('signal.contact'),
    detail: places.map((place) => `“${textAt(words, place)}”`).join(', '),
    places,
  }
}
