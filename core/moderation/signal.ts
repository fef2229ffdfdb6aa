import { messageCode } from '../messages/code'

/** What a customer wrote, as far as signals read it. */
export interface Words {
  title: string
  body: string
}

/** A stretch of the words, in UTF-16 units of the text as given; `end` is exclusive. */
export interface Place {
  field: keyof Words
  start: number
  end: number
}

export const scoredKinds = [
  'link',
  'wording',
  'lookalike',
  'nearcopy',
  'sender',
  'filltime',
  'burst',
  'mismatch',
  'gibberish',
  'rival',
  'template',
  'contact',
] as const
export const holdingKinds = [
  'abuse',
  'personal',
  'media',
  'unconfirmed',
  'unverified',
  'notoken',
  'nowork',
  'trap',
] as const
export type SignalKind = (typeof scoredKinds)[number] | (typeof holdingKinds)[number]

/** A reason that weighs on a review. `points` add up to the spam score; a holding reason has none. */
export interface Signal {
  kind: SignalKind
  points: number
  /** A message code. */
  headline: string
  /** What exactly was found: message codes, one a line; may be empty. */
  detail: string
  places: Place[]
}

/** Names the rules that gave a signal, so that a later model's signals can be distinguished. */
export const MODEL = 'signs-2'

/** Every place where a finder matches in the title or the body. */
export function placesOf(words: Words, find: (text: string) => { start: number; end: number }[]): Place[] {
  const title = words.title === '' ? [] : find(words.title)
  return [
    ...title.map(({ start, end }): Place => ({ field: 'title', start, end })),
    ...find(words.body).map(({ start, end }): Place => ({ field: 'body', start, end })),
  ]
}

/** The stretch of text that a place means. */
export function textAt(words: Words, { field, start, end }: Place): string {
  return words[field].slice(start, end)
}

/** The code of a message that quotes the texts at some places, each once. */
export function quoted(words: Words, places: Place[]): string {
  const texts = new Set(places.map((place) => `“${textAt(words, place)}”`))
  return messageCode('signal.quoted', { text: [...texts].slice(0, QUOTED_AT_MOST).join(', ') })
}
const QUOTED_AT_MOST = 6

/** All matches of a global pattern as stretches; a group named `at` narrows the stretch to that group. */
export function stretches(text: string, pattern: RegExp): { start: number; end: number }[] {
  return [...text.matchAll(pattern)].map((match) => {
    const inner = match.groups?.at
    const start = match.index + (inner ? match[0].indexOf(inner) : 0)
    return { start, end: start + (inner ?? match[0]).length }
  })
}

/** Places in order, those that lie inside or across an earlier one left out. */
export function withoutOverlaps(places: Place[]): Place[] {
  const kept: Place[] = []
  for (const place of places.toSorted((a, b) => a.start - b.start || b.end - a.end)) {
    if (
      !kept.some((other) => other.field === place.field && place.start < other.end && other.start < place.end)
    )
      kept.push(place)
  }
  return kept
}
