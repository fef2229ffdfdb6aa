import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import type { RatingTally } from '../../core/curation/ratingTally'

const TALLEST = 26

/** How many reviews have each rating. */
export default function RatingBars({
  tally,
  words,
  tone,
}: {
  tally: RatingTally
  words: string
  tone: string
}) {
  const height = scaleLinear([0, Math.max(1, max(tally.byMark) ?? 1)], [0, TALLEST])
  const spoken = tally.byMark.map((count, i) => `${i + 1}: ${count}`).join(', ')
  return (
    <div className="flex items-center gap-2">
      <svg viewBox="0 0 160 52" className="h-[52px] w-40" role="img" aria-label={`${words}, ${spoken}`}>
        {tally.byMark.map((count, i) => (
          <g key={i} transform={`translate(${i * 32}, 0)`} textAnchor="middle" className="text-[11px]">
            <rect x="4" y={39 - height(count)} width="22" height={height(count)} rx="1.5" className={tone} />
            <path d="M4 39.5h22" className="stroke-edge" />
            <text x="15" y={36 - height(count)} className="fill-ink">
              {count}
            </text>
            <text x="15" y="51" className="fill-soft">
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
      <span className="text-[13px] text-soft" aria-hidden="true">
        {words}
      </span>
    </div>
  )
}
