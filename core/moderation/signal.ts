import { messageCode } from '../messages/code'

export interface Words {
  title: string
  body: string
}

/** UTF-16 units of the given text; `end` is exclusive. */
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
  'code',
  'machine',
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
  // A rule of the shop that holds back or marks as spam.
  'rule',
] as const
/** `approvingRule` is a rule of the shop that approves. */
export const signalKinds = [...scoredKinds, ...holdingKinds, 'approvingRule'] as const
export type SignalKind = (typeof signalKinds)[number]

/** `points` add up to the spam score. A signal without points holds the review back. */
export interface Signal {
  kind: SignalKind
  points: number
  /** A message code. */
  headline: string
  /** Message codes, one a line; may be empty. */
  detail: string
  places: Place[]
}

/** Stored with each signal, to distinguish it from signals of later rules. */
export const MODEL = 'signs-3'

export function placesOf(words: Words, find: (text: string) => { start: number; end: number }[]): Place[] {
  const title = words.title === '' ? [] : find(words.title)
  return [
    ...title.map(({ start, end }): Place => ({ field: 'title', start, end })),
    ...find(words.body).map(({ start, end }): Place => ({ field: 'body', start, end })),
  ]
}

export function textAt(words: Words, { field, start, end }: Place): string {
  return words[field].slice(start, end)
}

/** A message code that quotes the texts at these places. */
export function quoted(words: Words, places: Place[]): string {
  const texts = new Set(places.map((place) => `“${textAt(words, place)}”`))
  return messageCode('signal.quoted', { text: [...texts].slice(0, QUOTED_AT_MOST).join(', ') })
}
const QUOTED_AT_MOST = 6

/** @param pattern global; if it has a group named `at`, the match is that group */
export function stretches(text: string, pattern: RegExp): { start: number; end: number }[] {
  return [...text.matchAll(pattern)].map((match) => {
    const inner = match.groups?.at
    const start = match.index + (inner ? match[0].indexOf(inner) : 0)
    return { start, end: start + (inner ?? match[0]).length }
  })
}

/** Sorted; places that overlap an earlier one are left out. */
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
