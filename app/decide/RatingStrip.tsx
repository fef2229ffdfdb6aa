import type { KeyboardEvent } from 'react'
import { Link } from 'react-router'
import { say } from '../../core/words/say'
import { Uprights } from '../components/RatingMark'
import { queuePath, type QueueSearch } from './address'

/** The choices of the filter's rating, under the sentence, each with how many the lane holds. */
export function RatingStrip({
  shop,
  search,
  ratings,
  laneTotal,
  close,
}: {
  shop: string
  search: QueueSearch
  ratings: { rating: number; count: number }[]
  laneTotal: number
  close: () => void
}) {
  const countOf = (mark: number) => ratings.find(({ rating }) => rating === mark * 100)?.count ?? 0
  const choices = [undefined, 5, 4, 3, 2, 1] as const
  const byArrow = (event: KeyboardEvent<HTMLElement>) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
    if (event.key === 'Escape') close()
    if (!step) return
    const links = [...event.currentTarget.querySelectorAll('a')]
    const at = links.findIndex((link) => link === document.activeElement)
    links[(at + step + links.length) % links.length]?.focus()
    event.preventDefault()
  }
  return (
    <div
      id="rating-strip"
      role="group"
      aria-label={say('decide.ratings')}
      className="flex flex-wrap justify-end gap-2 border-b border-line bg-paper px-6 py-3"
      onKeyDown={byArrow}
    >
      {choices.map((choice) => (
        <Link
          key={choice ?? 'any'}
          to={queuePath(shop, null, { lane: search.lane, rating: choice })}
          aria-current={search.rating === choice ? 'true' : undefined}
          onClick={close}
          className={`flex min-w-24 items-center justify-between gap-3 rounded-lg border px-3 py-2 ${
            search.rating === choice ? 'border-petrol bg-tint font-semibold' : 'border-edge hover:bg-wash'
          }`}
        >
          {choice === undefined ? (
            say('decide.anyRating')
          ) : (
            <span className="flex items-end gap-1.5">
              <b className="leading-none">{choice}</b>
              <Uprights lit={choice} />
            </span>
          )}
          <span className="text-soft">{choice === undefined ? laneTotal : countOf(choice)}</span>
        </Link>
      ))}
    </div>
  )
}
