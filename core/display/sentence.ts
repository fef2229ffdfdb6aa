import { languageName } from '../messages/languageName'
import { say } from '../messages/say'
import type { Configuration } from './configuration'
import type { Layout } from './choices'
import { settings, settingValues, settingWords, type Setting } from './settings'
import { listed, ratingWords } from './spoken'

/** The parts that every sentence says, and those it says only where they are set. */
export const sentenceParts = [
  'limit',
  'ratings',
  'products',
  'tags',
  'sources',
  'languages',
  'verifiedOnly',
  'withWords',
  'order',
  'layout',
  'dress',
  'placement',
  'title',
] as const
export type SentencePart = (typeof sentenceParts)[number]

/** Parts that fold under "and…" while nothing is set. */
export const foldedParts = ['tags', 'sources', 'languages', 'verifiedOnly', 'withWords', 'title'] as const

/** What products are called, by their SKU. */
export type ProductNames = Record<string, string>

/** Layouts that say how many and how well rated, without a single review. */
export const showsReviews = (layout: Layout): boolean =>
  layout !== 'aggregate' && layout !== 'badge' && layout !== 'ratingLine'

/** Each part of a display in words, as its sentence says it. */
export function partWords(
  { selection, layout, dress, placement, title }: Configuration,
  names: ProductNames = {},
): Record<SentencePart, string> {
  const { limit, ratings, products, tags, sources, languages, verifiedOnly, withWords, order } = selection
  return {
    limit: String(limit),
    ratings: ratingWords(ratings),
    products:
      products.kind === 'chosen'
        ? products.skus.length > 2
          ? say('display.products.several', { count: products.skus.length })
          : listed(products.skus.map((sku) => names[sku] ?? sku))
        : say(`display.products.${products.kind}`),
    tags: tags.length > 0 ? say('display.tagged', { tags: listed(tags, 'or') }) : '',
    sources: listed(
      sources.map((source) => say(`display.source.${source}`)),
      'or',
    ),
    languages:
      languages.length > 0
        ? say('display.inLanguages', { languages: listed(languages.map(languageName), 'or') })
        : '',
    verifiedOnly: verifiedOnly ? say('display.verifiedOnly') : '',
    withWords: withWords ? say('display.withWords') : '',
    order: say(`display.order.${order}`),
    layout: say(`display.layout.${layout.kind}`),
    dress:
      dress.ground === 'colour'
        ? say('display.inColour', { colour: dress.colour })
        : say(`display.ground.${dress.ground}`),
    placement: say(`display.place.${placement.place}`),
    title: title.trim() ? say('display.title', { title: title.trim() }) : '',
  }
}

/** The sentence cut where its parts stand: plain words and parts in turn. */
export function sentencePieces(
  configuration: Configuration,
  names: ProductNames = {},
): (string | { part: SentencePart; words: string })[] {
  const words = partWords(configuration, names)
  const template = showsReviews(configuration.layout.kind)
    ? say('display.sentence', { count: configuration.selection.limit })
    : say('display.sentenceWhole')
  return (
    template
      // A part in braces that is not set leaves with the words that lead to it.
      .replace(/\{([^[}]*)\[(\w+)\]\}/g, (_, lead: string, part: SentencePart) =>
        words[part] ? `${lead}[${part}]` : '',
      )
      .split(/\[(\w+)\]/)
      .map((piece, i) =>
        i % 2 ? { part: piece as SentencePart, words: words[piece as SentencePart] } : piece,
      )
      .filter((piece) => piece !== '')
  )
}

/** The whole sentence as one text. */
export function sentenceText(configuration: Configuration, names: ProductNames = {}): string {
  return sentencePieces(configuration, names)
    .map((piece) => (typeof piece === 'string' ? piece : piece.words))
    .join('')
}

export interface Change {
  part: SentencePart | Setting
  name: string
  before: string
  after: string
}

/** What differs between what is live and the draft, part by part: first what the sentence says, then the finer settings. */
export function changesBetween(
  live: Configuration,
  draft: Configuration,
  names: ProductNames = {},
): Change[] {
  const [before, after] = [
    { ...partWords(live, names), ...settingWords(live) },
    { ...partWords(draft, names), ...settingWords(draft) },
  ]
  const [valuesBefore, valuesAfter] = [valuesOf(live), valuesOf(draft)]
  return [...sentenceParts, ...settings]
    .filter((part) => JSON.stringify(valuesBefore[part]) !== JSON.stringify(valuesAfter[part]))
    .map((part) => ({
      part,
      name: say(`display.part.${part}`),
      before: before[part] || say('display.unset'),
      after: after[part] || say('display.unset'),
    }))
}

/** What stands behind the words of each part, so that two of them can be compared. */
function valuesOf(configuration: Configuration): Record<SentencePart | Setting, unknown> {
  const { selection, layout, dress, placement, title } = configuration
  return {
    ...selection,
    ...settingValues(configuration),
    layout: layout.kind,
    dress: dress.ground === 'colour' ? dress.colour : dress.ground,
    placement: placement.place,
    title: title.trim(),
  }
}
