import { useTranslate } from './speech'
import { RatingMark } from '../components/RatingMark'

export interface Said {
  title: string
  body: string
  rating: number | null
  authorName: string
  productTitle: string | null
}

export function OwnWords({
  words: { title, body, rating, authorName, productTitle },
  photos = [],
}: {
  words: Said
  photos?: { shown: string; alt: string }[]
}) {
  const translate = useTranslate()
  return (
    <blockquote className="mt-5 border-l-2 border-(--shop-edge) pl-4">
      {rating !== null && <RatingMark rating={rating} label={(given) => translate('rating.of', { given })} />}
      <div
        className="customer-words mt-1 text-[19px] leading-snug break-words whitespace-pre-line"
        dir="auto"
      >
        {title && <p className="font-semibold">{title}</p>}
        <p>{body || <span className="text-soft">{translate('confirm.ratingOnly')}</span>}</p>
      </div>
      {photos.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-2">
          {photos.map(({ shown, alt }, i) => (
            <img
              key={shown}
              src={shown}
              alt={alt || translate('photo.of', { place: i + 1 })}
              className="size-16 rounded-lg object-cover"
            />
          ))}
        </p>
      )}
      <p className="mt-2 text-soft">{[authorName, productTitle].filter(Boolean).join(', ')}</p>
    </blockquote>
  )
}
