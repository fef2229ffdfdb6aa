import type { DisplayModel } from '../core/display/displayModel'
import type { Quotation } from '../core/display/quotation'
import { reviewParts } from '../core/display/reviewParts'
import { isValidElement, type ReactElement } from 'react'
import { Glyphs } from './Glyphs'
import { RequiredNote } from './RequiredNote'
import { SiteIcon } from './SiteIcon'

type Given = Pick<DisplayModel, 'translate' | 'parts' | 'title' | 'ownCss'>

export function QuotationView({ quotation, model }: { quotation: Quotation; model: Given }) {
  const { marks, numeral, title, language } = quotation
  // Without a title of the display, a heading might skip a level of the page.
  const Head = model.title ? 'h3' : 'p'
  return (
    <figure>
      {(marks !== null || numeral) && (
        <p className="eg-stars">
          {marks !== null && (
            <Glyphs
              marks={marks}
              glyph={model.parts.glyph}
              label={model.translate('visitor.stars', { marks })}
            />
          )}
          {numeral && <b>{numeral}</b>}
        </p>
      )}
      {title && (
        <Head className="eg-head" lang={language ?? undefined} dir="auto">
          {title}
        </Head>
      )}
      <Words quotation={quotation} translate={model.translate} />
      {model.parts.answers && <Answers quotation={quotation} />}
      <Photos quotation={quotation} translate={model.translate} />
      <Reply quotation={quotation} translate={model.translate} />
      <Writer quotation={quotation} model={model} />
    </figure>
  )
}

export function Words({ quotation, translate }: { quotation: Quotation; translate: Given['translate'] }) {
  const { words, language } = quotation
  if (words.head.length === 0) return null
  return (
    <blockquote className="eg-words" lang={language ?? undefined} dir="auto">
      <Paragraphs texts={words.rest.length > 0 ? words.head.slice(0, -1) : words.head} />
      {words.rest.length > 0 && (
        <>
          <p>
            {words.head.at(-1)}
            {words.within && <span className="eg-cut">{/[.!?]$/.test(words.head.at(-1)!) ? ' …' : '…'}</span>}
          </p>
          <details>
            <summary>
              <span className="eg-closed">{translate('visitor.readOn')}</span>
              <span className="eg-opened">{translate('visitor.readLess')}</span>
            </summary>
            <Paragraphs texts={words.rest} />
          </details>
        </>
      )}
    </blockquote>
  )
}

function Answers({ quotation: { answers, language } }: { quotation: Quotation }) {
  if (answers.length === 0) return null
  return (
    <dl className="eg-answers" lang={language ?? undefined}>
      {answers.map(({ label, value }, i) => (
        <div key={i} dir="auto">
          <dt>{label}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  )
}

export function Photos({
  quotation: { photos },
  translate,
}: {
  quotation: Quotation
  translate: Given['translate']
}) {
  if (photos.length === 0) return null
  return (
    <div
      className="eg-photos"
      data-back={translate('visitor.before')}
      data-on={translate('visitor.after')}
      data-close={translate('visitor.close')}
    >
      {photos.map(({ large, small, width, height, alt, video }) => (
        <a
          key={large}
          className={video ? 'eg-video' : undefined}
          href={video ?? large}
          data-w={width}
          data-h={height}
          data-poster={video ? large : undefined}
        >
          <img src={small} alt={alt} width="76" height="76" loading="lazy" />
        </a>
      ))}
    </div>
  )
}

export function Reply({
  quotation: { reply },
  translate,
}: {
  quotation: Quotation
  translate: Given['translate']
}) {
  if (!reply) return null
  return (
    <div className="eg-reply">
      <p>
        <b>{translate('visitor.reply', { name: reply.name })}</b>
      </p>
      <Paragraphs texts={reply.paragraphs} />
    </div>
  )
}

function Paragraphs({ texts }: { texts: string[] }) {
  return texts.map((text, i) => (
    <p key={i} dir="auto">
      {text}
    </p>
  ))
}

function Writer({ quotation, model }: { quotation: Quotation; model: Given }) {
  const { translate } = model
  const { name, besideName, company, portrait, product, date } = quotation
  const who = [name, ...besideName, company].filter(Boolean)
  return (
    <figcaption className={portrait ? 'eg-with-face' : undefined}>
      {portrait && <img className="eg-face" src={portrait} alt="" width="44" height="44" loading="lazy" />}
      {name && (
        <b className="eg-name" dir="auto">
          {name}
        </b>
      )}
      {besideName.map((one, i) => (
        <span key={one.name} className={reviewParts[one.name].css} dir="auto">
          {(name || i > 0) && ', '}
          {one.text}
        </span>
      ))}
      {company && (
        <span className="eg-company" dir="auto">
          {(name || besideName.length > 0) && ', '}
          {company.logo && <img className="eg-logo" src={company.logo} alt="" height="16" loading="lazy" />}
          {company.url ? (
            <a href={company.url} rel="nofollow noopener">
              {company.name}
            </a>
          ) : (
            company.name
          )}
        </span>
      )}
      {product && (
        <span className="eg-on">
          {who.length > 0 && ' '}
          {translate('visitor.on', { product })}
        </span>
      )}
      {date && (
        <time className="eg-date" dateTime={date.at} data-relative={date.isRelative && ''}>
          {date.words}
        </time>
      )}
      {quotation.otherLanguage && <span className="eg-own eg-language">{quotation.otherLanguage}</span>}
      <Notes quotation={quotation} ownCss={model.ownCss} />
    </figcaption>
  )
}

/** How a review is known: the purchase, who wrote it down, and where it was posted. */
export function Notes({ quotation, ownCss }: { quotation: Quotation; ownCss: Given['ownCss'] }) {
  const { proof, likes } = quotation
  return (
    <>
      {proof && (
        <details className="eg-proof">
          <summary title={proof.how}>
            <span>{proof.words}</span>
          </summary>
          {proof.how}
        </details>
      )}
      {howItCame(quotation).map((note) => (
        <RequiredNote key={note.key} ownCss={ownCss} ownLine>
          {note}
        </RequiredNote>
      ))}
      {likes && <span className="eg-own eg-likes">{likes}</span>}
    </>
  )
}

function howItCame({ note, relationship, origin, original }: Quotation): ReactElement[] {
  const all = [
    note && (
      <span key="note" className="eg-own">
        {note}
      </span>
    ),
    relationship && (
      <span key="relationship" className="eg-own">
        {relationship}
      </span>
    ),
    origin && (
      <span key="origin" className="eg-posted">
        <SiteIcon path={origin.icon} />{' '}
        {origin.url ? (
          <a href={origin.url} target={origin.newTab ? '_blank' : undefined} rel="nofollow noopener">
            {origin.words}
          </a>
        ) : (
          origin.words
        )}
        {origin.claim && `, ${origin.claim}`}
      </span>
    ),
    original && (
      <a key="original" className="eg-own" href={original.url} rel="nofollow noopener">
        {original.words}
      </a>
    ),
  ]
  return all.filter((one) => isValidElement(one))
}
