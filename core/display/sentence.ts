import { say } from '../words/say'
import type { Configuration } from './configuration'

export const sentenceParts = ['limit', 'lowestRating', 'order', 'layout', 'title'] as const
export type SentencePart = (typeof sentenceParts)[number]

/** Each part of a display in words, as its sentence says it. */
export function partWords({ selection, layout, title }: Configuration): Record<SentencePart, string> {
  return {
    limit: String(selection.limit),
    lowestRating: ratingWords(selection.lowestRating),
    order: say(`display.order.${selection.order}`),
    layout: say(`display.layout.${layout}`),
    title: title.trim() ? say('display.title', { title: title.trim() }) : say('display.noTitle'),
  }
}

export function ratingWords(lowestRating: number): string {
  if (lowestRating <= 1) return say('display.rating.any')
  return lowestRating >= 5 ? say('display.rating.top') : say('display.rating.from', { lowest: lowestRating })
}

/** The sentence cut where its parts stand: plain words and parts in turn. */
export function sentencePieces(
  configuration: Configuration,
): (string | { part: SentencePart; words: string })[] {
  const words = partWords(configuration)
  return say('display.sentence', { count: configuration.selection.limit })
    .split(/\[(\w+)\]/)
    .map((piece, i) => (i % 2 ? { part: piece as SentencePart, words: words[piece as SentencePart] } : piece))
    .filter((piece) => piece !== '')
}

/** The whole sentence as one text. */
export function sentenceText(configuration: Configuration): string {
  return sentencePieces(configuration)
    .map((piece) => (typeof piece === 'string' ? piece : piece.words))
    .join('')
}
