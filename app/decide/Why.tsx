import { Link } from 'react-router'
import { writerName } from '../../core/messages/writerName'
import { HELD_FROM, SPAM_FROM, strangersKinds, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { translateCode, translateCodes } from '../../core/messages/code'
import { say } from '../../core/messages/say/decide'
import type { LessonLine } from '../../server/data/lessons'
import { queuePath } from './address'

/** The signals with their points, numbered like the marked places. */
export function Why({
  state,
  score,
  signals,
  isVerified,
  taughtBy,
  shop,
}: {
  shop: string
  state: ReviewState
  score: number
  signals: Signal[]
  isVerified: boolean
  /** What the shop marked as spam and taught the points for wording. */
  taughtBy: LessonLine[]
}) {
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
        <p className="text-[13px] text-soft">{say('decide.counts')}</p>
      </div>
      <Scale score={score} />
      <ol className="mt-1">
        {signals.map((signal, i) => (
          <li key={signal.kind} className="flex items-baseline gap-3 py-1.5">
            <Number number={i + 1} signal={signal} />
            <p className="min-w-0 flex-1 break-words">
              {translateCode(say, signal.headline)}{' '}
              <span className="text-soft">{translateCodes(say, signal.detail)}</span>
              {signal.kind === 'wording' && taughtBy.length > 0 && <Taught shop={shop} lessons={taughtBy} />}
            </p>
            <b className={`shrink-0 font-semibold ${toneOf(signal.points)}`}>
              {counts(signal, state === 'held' && score < HELD_FROM && !isVerified)}
            </b>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** The decisions that the points come from. */
function Taught({ shop, lessons }: { shop: string; lessons: LessonLine[] }) {
  return (
    <span className="mt-1 block text-[13px]">
      {say('signal.taught')}{' '}
      {lessons.map(({ publicId, authorName, title, body }) => (
        <span key={publicId} className="block">
          <Link to={queuePath(shop, publicId, { lane: 'spam' })} className="part">
            {writerName(authorName)}
          </Link>{' '}
          <span className="text-soft" dir="auto">
            {shortened([title, body].filter(Boolean).join('. '))}
          </span>
        </span>
      ))}
      <Link to={`/s/${shop}/settings/learning`} className="part">
        {say('signal.allTaught')}
      </Link>
    </span>
  )
}

const MAX_QUOTED = 90
const shortened = (text: string) => (text.length > MAX_QUOTED ? `${text.slice(0, MAX_QUOTED)}…` : text)

/** From 0 to 100, with the two thresholds. */
function Scale({ score }: { score: number }) {
  const marks = [
    { at: HELD_FROM, words: say('decide.heldFrom', { points: HELD_FROM }) },
    { at: SPAM_FROM, words: say('decide.spamFrom', { points: SPAM_FROM }) },
  ]
  return (
    <div
      role="img"
      aria-label={say('decide.scale', { score, held: HELD_FROM, spam: SPAM_FROM })}
      className="relative mx-1 mt-3 mb-2 h-9 text-[12.5px]"
    >
      <span className="absolute inset-x-0 top-[5px] h-[3px] rounded bg-line forced-fill" />
      <span
        className="absolute top-[5px] left-0 h-[3px] rounded bg-plum forced-fill"
        style={{ width: `${score}%` }}
      />
      {marks.map(({ at, words }) => (
        <span
          key={at}
          className="absolute top-0 flex -translate-x-1/2 flex-col items-center gap-1 whitespace-nowrap text-soft"
          style={{ left: `${at}%` }}
        >
          <span className="h-3 w-0.5 bg-ink forced-fill" />
          {/* The score has the room of a mark that it is close to. */}
          <span className={Math.abs(at - score) < CLOSE ? 'invisible' : ''}>{words}</span>
        </span>
      ))}
      <span
        className="absolute top-0 flex -translate-x-1/2 flex-col items-center gap-1 font-semibold"
        style={{ left: `${Math.max(EDGE, Math.min(100 - EDGE, score))}%` }}
      >
        <span className="size-3.5 rounded-full bg-plum forced-fill" />
        {score}
      </span>
    </div>
  )
}

/** Percent of the scale within which two labels would overlap. */
const CLOSE = 9
/** Percent of the scale that keeps a label within it. */
const EDGE = 1

function counts({ kind, points }: Signal, isHeldStranger: boolean): string {
  if (points === 0) return say('decide.holds')
  if (points < 0) return say('decide.pointsAgainst', { points: -points })
  return isHeldStranger && strangersKinds.includes(kind)
    ? say('decide.pointsAndHolds', { points })
    : say('decide.pointsFor', { points })
}
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
