import { countLookChanges, themeBefore } from '../../display/lookChanges'
import { dateFormat } from '../../formats/dates'
import { showsReviews } from '../../display/layoutTraits'
import type { Configuration } from '../../display/configuration'
import { isReadyLook, themeOfLook } from '../../display/looks'
import type { Theme } from '../../display/themeSchema'
import type { SentencePart } from '../../display/sentenceParts'
import { languageName } from '../languageName'
import { say } from '../say/show'
import { listed, ratingText } from './listed'

/** Titles of products by SKU, and names of listings, forms and the shop's looks by public id. */
export type ProductNames = Record<string, string>

/** The text of each part of the sentence. */
export function partTexts(
  { selection, layout, theme, placement, title }: Configuration,
  names: ProductNames = {},
): Record<SentencePart, string> {
  const { limit, ratings, products, tags, sources, listings, forms, languages, order } = selection
  return {
    limit: String(limit),
    ratings: ratingText(ratings),
    products:
      products.kind === 'chosen'
        ? products.skus.length > 2
          ? say('display.products.several', { count: products.skus.length })
          : listed(products.skus.map((sku) => names[sku] ?? sku))
        : say(`display.products.${products.kind}`),
    tags: tags.length > 0 ? say('display.tagged', { tags: listed(tags, 'or') }) : '',
    sources: listed(
      [
        ...sources.map((source) => say(`display.source.${source}`)),
        ...listings.map((id) =>
          say('display.postedOn', { listing: names[id] ?? say('display.goneListing') }),
        ),
        ...forms.map((id) => say('display.throughForm', { form: names[id] ?? say('display.goneForm') })),
      ],
      'or',
    ),
    languages:
      languages.length > 0
        ? say('display.inLanguages', { languages: listed(languages.map(languageName), 'or') })
        : '',
    verifiedOnly: selection.verifiedOnly ? say('display.verifiedOnly') : '',
    withWords: selection.withWords ? say('display.withWords') : '',
    withPhotos: selection.withPhotos ? say('display.withPhotos') : '',
    written: writtenText(selection),
    order: say(`display.order.${order}`),
    layout: say(`display.layout.${layout.kind}`),
    theme: themeText(theme, names),
    placement: say(`display.place.${placement.place}`),
    title: title.trim() ? say('display.title', { title: title.trim() }) : '',
  }
}

const spokenDay = (day: string) =>
  dateFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(day))

function writtenText({ writtenFrom, writtenUntil }: Configuration['selection']): string {
  if (!writtenFrom && !writtenUntil) return ''
  const [from, until] = [writtenFrom && spokenDay(writtenFrom), writtenUntil && spokenDay(writtenUntil)]
  return say(`display.written.${from && until ? 'between' : from ? 'from' : 'until'}`, { from, until })
}

function themeText(theme: Theme, names: ProductNames): string {
  const { look, background, colour } = theme
  const painted =
    background === 'colour' ? say('display.inColour', { colour }) : say(`display.background.${background}`)
  const changes = look === 'page' || isReadyLook(look) ? countLookChanges(theme, themeBefore(theme, [])) : 0
  const styled = styleName(theme, names, painted)
  return changes > 0 ? say('display.withChanges', { style: styled, count: changes }) : styled
}

function styleName({ look, background }: Theme, names: ProductNames, painted: string): string {
  if (look === 'page') return painted
  const name = isReadyLook(look) ? say(`display.look.${look}`) : (names[look] ?? say('display.goneLook'))
  const asLook = say('display.inLook', { look: name })
  const before = isReadyLook(look) ? themeOfLook(look).background : background
  return background === before ? asLook : `${asLook}, ${painted}`
}

/** The sentence as a sequence of plain text and parts. */
export function sentencePieces(
  configuration: Configuration,
  names: ProductNames = {},
): (string | { part: SentencePart; words: string })[] {
  const words = partTexts(configuration, names)
  const template = showsReviews(configuration.layout.kind)
    ? say('display.sentence', { count: configuration.selection.limit })
    : say('display.sentenceWhole')
  return (
    template
      // An unset part in braces is removed with the words before it.
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

export function sentenceText(configuration: Configuration, names: ProductNames = {}): string {
  return sentencePieces(configuration, names)
    .map((piece) => (typeof piece === 'string' ? piece : piece.words))
    .join('')
}
