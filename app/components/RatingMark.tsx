import { litMarks } from '../../core/formats/rating'
import { say } from '../../core/messages/say/frame'

const heights = [4, 6, 8, 10, 12]

/** A rating as a number and five bars. */
export function RatingMark({
  rating,
  large = false,
  label = (given) => say('frame.rating', { given }),
}: {
  rating: number | null
  large?: boolean
  label?: (given: number) => string
}) {
  if (rating === null) return null
  const lit = litMarks(rating)
  return (
    <span className="inline-flex items-end gap-1.5" role="img" aria-label={label(rating / 100)}>
      <b className="leading-none">{rating / 100}</b>
      <Uprights lit={lit} large={large} />
    </span>
  )
}

export function Uprights({ lit, large = false }: { lit: number; large?: boolean }) {
  return (
    <svg viewBox="0 0 34 13" className={large ? 'h-[14px] w-[37px]' : 'h-3 w-8'} aria-hidden="true">
      {heights.map((height, i) => (
        <rect
          key={height}
          x={i * 7 + 0.5}
          y={12.5 - height}
          width="4.5"
          height={height}
          rx="1.2"
          className={i < lit ? 'fill-apricot stroke-apricot' : 'fill-none stroke-apricot'}
        />
      ))}
    </svg>
  )
}
