import { Fragment } from 'react'
import { writerName } from '../../core/messages/writerName'
import { Link } from 'react-router'
import type { RatingTally } from '../../core/curation/ratingTally'
import { oneDecimal } from '../../core/formats/rating'
import { markedText } from '../../core/moderation/markedText'
import { searchPlaces } from '../../core/moderation/searchWords'
import type { Signal, Words } from '../../core/moderation/signal'
import type { Answer } from '../../core/intake/answer'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { say } from '../../core/messages/say/decide'
import type { ReviewView } from '../../server/moderation/reviewView'
import { RatingMark } from '../components/RatingMark'
import { writerTextNames } from '../../core/intake/writerTexts'

type Review = ReviewView['review']

interface Given {
  shop: string
  review: Review
  evidence: ReviewView['evidence']
  posted: ReviewView['posted']
  signals: Signal[]
  /** The published version if it differs from this one. */
  standing: ReviewView['published']
  productTally: RatingTally | null
  locale: string
  when: string
  q: string | undefined
}

/** The text of the review with the places of signals marked. */
export function ReviewWords(given: Given) {
  const { review, signals, standing, q } = given
  const long = review.body.length > 420
  return (
    <>
      <Subject {...given} />
      <div
        className={`customer-words mt-2 max-w-[46em] break-words whitespace-pre-line ${long ? 'text-[18px] leading-relaxed' : 'text-[23px] leading-[1.5]'}`}
        lang={review.language ?? undefined}
        dir="auto"
      >
        {review.title && (
          <p className="font-semibold">
            <Marked field="title" text={review.title} signals={signals} q={q} />
          </p>
        )}
        {review.body ? (
          <p>
            <Marked field="body" text={review.body} signals={signals} q={q} />
          </p>
        ) : (
          review.answers.length === 0 && <p className="text-soft">{say('decide.noWords')}</p>
        )}
      </div>
      <Answers answers={review.answers} />
      <Writer {...given} />
      <Traces {...given} />
      {standing && <Standing standing={standing} />}
      {!review.showable && <NotShown source={review.source} />}
    </>
  )
}

/** The rating, and what it is about. */
function Subject({ review, productTally, locale }: Given) {
  return (
    <p className="flex flex-wrap items-center gap-x-2.5 gap-y-1">
      <RatingMark rating={review.rating} large />
      <span className="ml-2 text-soft">{say('decide.for')}</span>
      {review.productPicture && (
        <img src={`/media/${review.productPicture}`} alt="" className="size-7 rounded-md" />
      )}
      <b className="font-semibold">{review.productTitle ?? say('decide.shopWhole')}</b>
      {productTally?.average != null && (
        <span className="text-soft">
          {say('decide.productTally', {
            average: oneDecimal(productTally.average, locale),
            count: productTally.count,
          })}
        </span>
      )}
    </p>
  )
}

/** Who wrote it, how it came, and when. */
function Writer({ shop, review, posted, when }: Given) {
  return (
    <p className="mt-3 break-words text-soft">
      {review.portrait && (
        <img
          src={`/media/${review.portrait}`}
          alt=""
          className="mr-2.5 inline-block size-9 rounded-full object-cover"
        />
      )}
      <b id="writer" className="mr-1.5 font-semibold break-words text-ink">
        {writerName(review.authorName)}
      </b>
      {[
        ...writerTextNames.map((name) => review[name]),
        review.authorEmail,
        posted ? say('decide.postedOn', { site: posted.site }) : say(`source.${review.source}`),
        posted && posted.ratingScale !== null && posted.ratingScale !== 5
          ? say('decide.ratedThere', { value: posted.ratingValue ?? 0, scale: posted.ratingScale })
          : null,
        posted?.likes ? say('decide.likes', { count: posted.likes }) : null,
        posted?.claimsVerified ? say('decide.siteClaims', { site: posted.site }) : null,
        when,
      ]
        .filter(Boolean)
        .join(' · ')}
      {sourcePolicies[review.source].typedBy === 'shop' && review.state !== 'withdrawn' && (
        <Link to={`/s/${shop}/decide/${review.publicId}/correct`} className="ml-3 text-petrol underline">
          {say('decide.correct')}
        </Link>
      )}
    </p>
  )
}

/** Where it can be seen, and the files that show it. */
function Traces({ shop, review, evidence, posted }: Given) {
  return (
    <>
      {review.seenUrl && (
        <p className="mt-1 break-words text-soft">
          {posted ? (
            <a href={review.seenUrl} target="_blank" rel="noreferrer" className="part">
              {say('decide.seeThere', { site: posted.site })}
            </a>
          ) : (
            <>
              <b className="font-semibold">{say('source.original')}:</b> {review.seenUrl}
            </>
          )}
        </p>
      )}
      {evidence.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-x-3 text-soft">
          <b className="font-semibold">{say('decide.evidence')}:</b>
          {evidence.map(({ publicId, name }) => (
            <a
              key={publicId}
              href={`/s/${shop}/decide/${review.publicId}/evidence/${publicId}`}
              target="_blank"
              rel="noreferrer"
              className="break-all text-petrol underline"
            >
              {name}
            </a>
          ))}
        </p>
      )}
    </>
  )
}

function Standing({ standing }: { standing: NonNullable<Given['standing']> }) {
  return (
    <section className="mt-4 rounded-lg bg-wash px-4 py-3" aria-label={say('decide.standing')}>
      <h2 className="text-[13px] text-soft">{say('decide.standing')}</h2>
      <RatingMark rating={standing.rating} />
      <div
        className="customer-words mt-1 max-w-[46em] text-[17px] break-words whitespace-pre-line"
        dir="auto"
      >
        {standing.title && <p className="font-semibold">{standing.title}</p>}
        <p>{standing.body}</p>
      </div>
      <Answers answers={standing.answers} />
      <p className="mt-1 text-soft">{writerName(standing.authorName)}</p>
    </section>
  )
}

function NotShown({ source }: Pick<Review, 'source'>) {
  const why = sourcePolicies[source].isPublic ? 'onlyYou' : 'trial'
  return (
    <p className="mt-3 text-ochre">
      <b className="font-semibold">{say(`decide.${why}`)}:</b> {say(`decide.${why}Why`)}
    </p>
  )
}

/** Answers to questions of the shop. */
function Answers({ answers }: { answers: Answer[] }) {
  if (answers.length === 0) return null
  return (
    <dl className="mt-3 grid max-w-[46em] gap-x-6 gap-y-1.5 sm:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
      {answers.map(({ label, value, private: isPrivate }, i) => (
        <Fragment key={i}>
          <dt className="break-words text-soft" dir="auto">
            {label}
            {isPrivate && <span className="block text-[12.5px]">{say('decide.answerPrivate')}</span>}
          </dt>
          <dd className="customer-words break-words whitespace-pre-line" dir="auto">
            {value}
          </dd>
        </Fragment>
      ))}
    </dl>
  )
}

const FOUND = 0

function Marked({
  field,
  text,
  signals,
  q,
}: {
  field: keyof Words
  text: string
  signals: Signal[]
  q: string | undefined
}) {
  const found = q ? searchPlaces(text, q).map((place) => ({ ...place, field, mark: FOUND })) : []
  const places = signals.flatMap((signal, i) => signal.places.map((place) => ({ ...place, mark: i + 1 })))
  return markedText(text, field, [...places, ...found]).map(({ text: run, marks }, i) => {
    const numbers = marks.filter((mark) => mark !== FOUND)
    const isFound = marks.includes(FOUND)
    const words = isFound ? <mark className="found-word">{run}</mark> : run
    const first = numbers[0]
    if (first === undefined) return <span key={i}>{words}</span>
    const lead = isFound ? '' : firstWord(run)
    const tone = signals[first - 1]?.points ? 'plum' : 'ochre'
    return (
      <mark
        key={i}
        className={`rounded-[4px] box-decoration-clone px-0.5 py-px text-inherit underline underline-offset-4 ${
          tone === 'plum' ? 'bg-plum/12 decoration-plum' : 'bg-ochre/14 decoration-ochre'
        }`}
      >
        <span className={lead.length < LONG_WORD ? 'whitespace-nowrap' : ''}>
          {numbers.map((number) => (
            <span
              key={number}
              className={`mr-1 inline-grid size-[17px] place-items-center rounded-full align-[3px] font-sans text-[11px] leading-none font-bold text-paper no-underline ${tone === 'plum' ? 'bg-plum' : 'bg-ochre'}`}
            >
              {number}
            </span>
          ))}
          {lead}
        </span>
        {isFound ? words : run.slice(lead.length)}
      </mark>
    )
  })
}

/** A longer word may have to break on a phone. */
const LONG_WORD = 24

/** Stays on one line with the number before it. */
const firstWord = (run: string) => /^\s*\S*/.exec(run)![0]
