import { WHOLE_SHOP, type FilterPart, type ReviewFilter } from '../../core/moderation/reviewFilter'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/decide'

/** The parts as the strip groups them: the two ends of a span of days are one. */
export const stripParts = [
  'rating',
  'product',
  'source',
  'language',
  'bought',
  'words',
  'needsReply',
  'tag',
  'dates',
] as const
export type StripPart = (typeof stripParts)[number]

/** A product's title by its SKU, or the SKU where it is not known. */
export type Titles = Record<string, string>

/** A choice of a part by itself: "verified buyers", "English". */
export function choiceWords(part: FilterPart, value: string, titles: Titles): string {
  switch (part) {
    case 'rating':
      return value === '0' ? say('decide.filter.rating.none') : value
    case 'product':
      return value === WHOLE_SHOP ? say('decide.filter.product.none') : (titles[value] ?? value)
    case 'source':
      return say(`decide.filter.source.${value as 'form' | 'manualEntry'}`)
    case 'language':
      return value === '-' ? say('decide.filter.language.none') : languageName(value)
    case 'bought':
    case 'words':
    case 'needsReply':
      return say(`decide.filter.${part}.${value as 'yes' | 'no'}`)
    default:
      return value
  }
}

/** The parts of a filter that narrow it, each as it is said in the sentence, with the strip that changes it. */
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
