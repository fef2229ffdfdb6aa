import { say } from '../../core/words/say'
import { RatingMark } from '../components/RatingMark'

export interface Said {
  title: string
  body: string
  rating: number | null
  authorName: string
  productTitle: string | null
}

/** What somebody said, as she wrote it. */
export function OwnWords({ words: { title, body, rating, authorName, productTitle } }: { words: Said }) {
  return (
    <blockquote className="mt-5 border-l-2 border-(--shop-edge) pl-4">
      {rating !== null && <RatingMark rating={rating} />}
      <div
        className="customer-words mt-1 text-[19px] leading-snug break-words whitespace-pre-line"
        dir="auto"
      >
        {title && <p className="font-semibold">{title}</p>}
        <p>{body || <span className="text-soft">{say('decide.noWords')}</span>}</p>
      </div>
      <p className="mt-2 text-soft">{[authorName, productTitle].filter(Boolean).join(', ')}</p>
    </blockquote>
  )
}
