import { HELD_FROM, SPAM_FROM, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { translateCode, translateCodes } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'

/** The signals with their points, numbered like the marked places. */
export function Why({ state, score, signals }: { state: ReviewState; score: number; signals: Signal[] }) {
  const heading =
    state === 'held' ? 'decide.whyHeld' : state === 'spam' ? 'decide.whySpam' : 'decide.whyFound'
  if (signals.length === 0)
    return (
      <p className="text-soft">
        {say('decide.nothingFound')} {state === 'spam' && say('decide.byHand')}
      </p>
    )
  return (
    <section className="panel px-5 py-4" aria-labelledby="why">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="why" className="font-semibold">
          {say(heading)}
        </h2>
        <p className="text-[13px] text-soft">
          {say('decide.scale', { score, held: HELD_FROM, spam: SPAM_FROM })}
        </p>
      </div>
      <ol className="mt-1">
        {signals.map((signal, i) => (
          <li key={signal.kind} className="flex items-baseline gap-3 py-1.5">
            <Number number={i + 1} signal={signal} />
            <p className="min-w-0 flex-1 break-words">
              {translateCode(say, signal.headline)}{' '}
              <span className="text-soft">{translateCodes(say, signal.detail)}</span>
            </p>
            <b className={`shrink-0 font-semibold ${toneOf(signal.points)}`}>
              {signal.points === 0 ? say('decide.holds') : signed(signal.points)}
            </b>
          </li>
        ))}
      </ol>
    </section>
  )
}

const signed = (points: number) => (points > 0 ? `+${points}` : `−${-points}`)
const toneOf = (points: number) => (points > 0 ? '' : points < 0 ? 'text-moss' : 'text-ochre')

function Number({ number, signal }: { number: number; signal: Signal }) {
  if (signal.places.length === 0) return <span className="w-[18px]" />
  const tone = signal.points > 0 ? 'bg-plum/12 text-plum' : 'bg-ochre/14 text-ochre'
  return (
    <span
      className={`grid size-[18px] shrink-0 place-items-center rounded-full text-[11px] font-bold ${tone}`}
    >
      {number}
    </span>
  )
}
