import { lazy, Suspense } from 'react'
import { FAIR_WITHIN, oneIn, type Fairness } from '../../core/curation/fairness'
import type { RatingTally } from '../../core/curation/ratingTally'
import { oneDecimal } from '../../core/formats/rating'
import { listed } from '../../core/messages/display/listed'
import { say } from '../../core/messages/say/show'
import type { EditorView } from '../../server/publishing/showViews'

// The charts load while they are still closed.
const RatingBars = lazy(() => import('./RatingBars'))

/** Whether the selection represents all reviews: one line, which opens to both distributions and their distance. */
export function FairGauge({
  chosen,
  all,
  fairness,
  publishableCount,
  locale,
  fairer,
  swap,
}: {
  fairness: Fairness
  chosen: RatingTally
  all: RatingTally
  /** All publishable reviews, including those that don't count in averages. */
  publishableCount: number
  locale: string
  fairer: EditorView['fairer']
  /** Applies the smallest change that makes the selection fair. */
  swap: () => void
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
      {fairer.length > 0 && (
        <p className="flex flex-wrap items-baseline gap-x-3 pb-2 text-[13px]" data-fairer>
          {say('fair.swaps', {
            count: fairer.length,
            swaps: listed(
              fairer.map((one) =>
                say('fair.swap', {
                  in: one.in.name,
                  inRating: (one.in.rating ?? 0) / 100,
                  out: one.out.name,
                  outRating: (one.out.rating ?? 0) / 100,
                }),
              ),
            ),
          })}
          <button type="button" className="part min-h-6" onClick={swap}>
            {say('fair.do')}
          </button>
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-8 gap-y-2 pb-3">
        {all.count > 0 && (
          <Suspense fallback={<div className="h-[52px] w-40" />}>
            <RatingBars tally={all} words={say('show.all')} tone="fill-[#6b8d95]" />
            <RatingBars tally={chosen} words={say('show.these')} tone="fill-petrol" />
          </Suspense>
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
