import { litMarks } from '../../core/formats/rating'
import { say } from '../../core/messages/say/frame'

const steps = [0, 1, 2, 3, 4]

/** A rating as a number and five stitches. */
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
    <span className="inline-flex items-center gap-1.5" role="img" aria-label={label(rating / 100)}>
      <b className="leading-none">{rating / 100}</b>
      <Stitches lit={lit} large={large} />
    </span>
  )
}

/** Sewn stitches are solid, the others open dots. */
export function Stitches({ lit, large = false }: { lit: number; large?: boolean }) {
  return (
    <svg
      viewBox="0 0 62 8"
      className={large ? 'h-[9px] w-[70px]' : 'h-[7px] w-[54px]'}
      fill="none"
      strokeWidth="1.4"
      aria-hidden="true"
    >
      {steps.map((step) =>
        step < lit ? (
          <rect
            key={step}
            x={step * 12.6}
            y="1.500"
            width="10.600"
            height="5"
            rx="2.500"
            className="fill-apricot"
          />
        ) : (
          <circle key={step} cx={step * 12.6 + 5.3} cy="4" r="2.300" className="stroke-edge" />
        ),
      )}
    </svg>
  )
}
