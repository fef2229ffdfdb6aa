import { max } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { FAIR_WITHIN, oneIn, type Fairness } from '../../core/curation/fairness'
import type { RatingTally } from '../../core/curation/ratingTally'
import { oneDecimal } from '../../core/formats/rating'
import { say } from '../../core/messages/say/show'

const TALLEST = 26

/** Whether the selection represents all reviews: one line, which opens to both distributions and their distance. */
export function FairGauge({
  chosen,
  all,
  fairness,
  publishableCount,
  locale,
}: {
  fairness: Fairness
  chosen: RatingTally
  all: RatingTally
  /** All publishable reviews, including those that don't count in averages. */
  publishableCount: number
  locale: string
}) {
  return (
    <details className="group shrink-0 border-t border-line bg-paper px-6">
      <summary className="flex min-h-9 cursor-pointer list-none flex-wrap items-center gap-x-4 py-1 text-soft [&::-webkit-details-marker]:hidden">
        <b className={`font-semibold ${tones[fairness.verdict]}`} data-verdict={fairness.verdict}>
          {say(`show.verdict.${fairness.verdict}`)}
        </b>
        <span className="text-[13px]">
          {chosen.average === null || all.average === null
            ? say(publishableCount > 0 ? 'show.gaugeUncounted' : 'show.gaugeEmpty')
            : say('show.here', {
                average: oneDecimal(chosen.average, locale),
                all: oneDecimal(all.average, locale),
                count: all.count,
              })}
        </span>
        <span className="text-[13px]">{chosen.count > 0 && all.count > 0 && lowWords(chosen, all)}</span>
        <span className="part ml-auto text-[13px] group-open:hidden">{say('show.gaugeMore')}</span>
        <span className="part ml-auto hidden text-[13px] group-open:inline">{say('show.gaugeLess')}</span>
      </summary>
      <div className="flex flex-wrap items-center gap-x-8 gap-y-2 pb-3">
        {all.count > 0 && (
          <>
            <Bars tally={all} words={say('show.all')} tone="fill-[#6b8d95]" />
            <Bars tally={chosen} words={say('show.these')} tone="fill-petrol" />
          </>
        )}
        {fairness.distance !== null && (
          <p className="max-w-96 flex-1 basis-64 text-[13px] text-soft">
            <b className="font-semibold text-ink">
              {say('show.distance', { distance: fairness.distance.toFixed(2), within: FAIR_WITHIN })}
            </b>{' '}
            {say('show.distanceWhy')}
          </p>
        )}
      </div>
    </details>
  )
}

const tones: Record<Fairness['verdict'], string> = {
  fair: 'text-moss',
  rosier: 'text-ochre',
  harsher: 'text-ochre',
  lopsided: 'text-ochre',
  tooFew: 'text-soft',
  empty: 'text-soft',
}

function lowWords(chosen: RatingTally, all: RatingTally): string {
  const words = (tally: RatingTally) => {
    const one = oneIn(tally)
    return one === null ? say('show.noneLow') : say('show.oneIn', { count: one })
  }
  return say('show.lowShare', { here: words(chosen), all: words(all) })
}

function Bars({ tally, words, tone }: { tally: RatingTally; words: string; tone: string }) {
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
