import type { ReviewFilter } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import { SentencePart } from '../components/SentencePart'
import { sentenceParts, type StripPart, type Titles } from './filterWords'

export type OpenStrip = StripPart | 'sort' | 'and'

/** The filter as a sentence; each underlined part opens its choices. */
export function FilterSentence({
  filter,
  titles,
  open,
  setOpen,
}: {
  filter: ReviewFilter
  titles: Titles
  open: OpenStrip | null
  setOpen: (part: OpenStrip | null) => void
}) {
  const part = (name: OpenStrip, words: string) => (
    <SentencePart
      key={name}
      words={words}
      open={open === name}
      toggle={() => setOpen(open === name ? null : name)}
      controls="filter-strip"
      data-filter={name}
    />
  )
  const parts = sentenceParts(filter, titles)
  const rating = parts.some(({ strip }) => strip === 'rating')
  return (
    <>
      {say('decide.of')}{' '}
      {!rating && (
        <>
          {part('rating', say('decide.filter.rating.any'))}
          {', '}
        </>
      )}
      {parts.map(({ strip, words }) => (
        <span key={strip}>
          {part(strip, words)}
          {', '}
        </span>
      ))}
      {part('sort', say(`decide.sort.${filter.sort ?? 'newest'}`))}
      {', '}
      {part('and', say('decide.filter.and'))}
    </>
  )
}
