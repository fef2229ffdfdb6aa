import { WHOLE_SHOP, type FilterPart, type ReviewFilter } from '../../core/moderation/reviewFilter'
import { languageName } from '../../core/messages/languageName'
import type { Source } from '../../core/intake/sourcePolicy'
import { say } from '../../core/messages/say/decide'

/** The parts in the order of the strip; both dates are one part. */
export const stripParts = [
  'rating',
  'product',
  'source',
  'language',
  'bought',
  'words',
  'needsReply',
  'tag',
  'form',
  'answer',
  'media',
  'dates',
] as const
export type StripPart = (typeof stripParts)[number]

/** Titles of products by SKU, names of forms by public id, and answers. */
export type Titles = Record<string, string>

/** The text of a single choice: "verified buyers", "English". */
export function choiceWords(part: FilterPart, value: string, titles: Titles): string {
  switch (part) {
    case 'rating':
      return value === '0' ? say('decide.filter.rating.none') : value
    case 'product':
      return value === WHOLE_SHOP ? say('decide.filter.product.none') : (titles[value] ?? value)
    case 'form':
    case 'answer':
      return titles[value] ?? say('decide.filter.gone')
    case 'source':
      return say(`decide.filter.source.${value as Source}`)
    case 'language':
      return value === '-' ? say('decide.filter.language.none') : languageName(value)
    case 'media':
      return say(`decide.filter.media.${value as 'photo' | 'video'}`)
    case 'bought':
    case 'words':
    case 'needsReply':
      return say(`decide.filter.${part}.${value as 'yes' | 'no'}`)
    default:
      return value
  }
}

/** The set parts of a filter as texts, with the strip that changes each. */
export function sentenceParts(filter: ReviewFilter, titles: Titles): { strip: StripPart; words: string }[] {
  const said = (part: Exclude<StripPart, 'dates'>) => {
    const value = filter[part]
    if (value === undefined) return []
    if (part === 'rating' && value === 0) return [{ strip: part, words: say('decide.filter.rating.none') }]
    return [
      {
        strip: part,
        words: say(`decide.filter.${part}.some`, { value: choiceWords(part, String(value), titles) }),
      },
    ]
  }
  const days = [
    filter.from !== undefined ? say('decide.filter.dates.some', { value: filter.from }) : '',
    filter.to !== undefined ? say('decide.filter.dates.someTo', { value: filter.to }) : '',
  ].filter(Boolean)
  return [
    ...stripParts.flatMap((part) => (part === 'dates' ? [] : said(part))),
    ...(days.length > 0 ? [{ strip: 'dates' as const, words: days.join(' ') }] : []),
  ]
}
