import type { DisplayModel } from '../core/display/displayModel'
import type { Quotation } from '../core/display/quotation'
import { oneDecimal } from '../core/formats/rating'
import { say } from '../core/words/say'

/** A display as visitors get it; rendered to static HTML, nothing of it runs on their side. */
export function DisplayView({ model }: { model: DisplayModel }) {
  return (
    <section className="eg" aria-label={say('display.region', { shop: model.shopName })}>
      {model.heading && <h2>{model.heading}</h2>}
      <Summary model={model} />
      <ol>
        {model.quotations.map((quotation) => (
          <li key={quotation.publicId}>
            <QuotationView quotation={quotation} />
          </li>
        ))}
      </ol>
    </section>
  )
}

function Summary({ model }: { model: DisplayModel }) {
  const { tally, stock, quotations, writeUrl, locale, shortName } = model
  const pickedFew = quotations.length > 0 && quotations.length < stock
  return (
    <p className="eg-sum">
      <span>
        {tally.average === null ? (
          say(stock > 0 ? 'display.noAverage' : 'display.none')
        ) : (
          <>
            <b>{oneDecimal(tally.average, locale)}</b> {say('display.from', { count: tally.count })}
          </>
        )}
        {pickedFew && ` ${say('display.picked', { count: quotations.length, shop: shortName })}`}
      </span>
      {writeUrl && (
        <a className="eg-write" href={writeUrl}>
          {say('display.write')}
        </a>
      )}
    </p>
  )
}

function QuotationView({ quotation }: { quotation: Quotation }) {
  const { marks, title, paragraphs, language, reply } = quotation
  const lang = language ?? undefined
  return (
    <figure>
      {marks !== null && <Stars marks={marks} />}
      {title && (
        <h3 lang={lang} dir="auto">
          {title}
        </h3>
      )}
      {paragraphs.length > 0 && (
        <blockquote lang={lang} dir="auto">
          {paragraphs.map((paragraph, i) => (
            <p key={i}>{paragraph}</p>
          ))}
        </blockquote>
      )}
      <Writer quotation={quotation} />
      {reply && (
        <div className="eg-reply">
          <p>
            <b>{say('display.reply', { name: reply.name })}</b>
          </p>
          {reply.paragraphs.map((paragraph, i) => (
            <p key={i} dir="auto">
              {paragraph}
            </p>
          ))}
        </div>
      )}
    </figure>
  )
}

/** Who says so, on what, and how we know; what is missing leaves no hole. */
function Writer({ quotation }: { quotation: Quotation }) {
  const { name, role, company, portrait, product, proof, note, relationship } = quotation
  return (
    <figcaption className={portrait ? 'eg-with-face' : undefined}>
      {portrait && <img className="eg-face" src={portrait} alt="" width="44" height="44" loading="lazy" />}
      {name && <b dir="auto">{name}</b>}
      {role && `${name ? ', ' : ''}${role}`}
      {company && (
        <>
          {(name || role) && ', '}
          {company.logo && <img className="eg-logo" src={company.logo} alt="" height="16" loading="lazy" />}
          {company.url ? (
            <a href={company.url} rel="nofollow noopener">
              {company.name}
            </a>
          ) : (
            company.name
          )}
        </>
      )}
      {product && ` ${say('display.on', { product })}`}
      {proof && <span className="eg-proof">{proof}</span>}
      {note && <span className="eg-own">{note}</span>}
      {relationship && <span className="eg-own">{relationship}</span>}
    </figcaption>
  )
}

function Stars({ marks }: { marks: number }) {
  return (
    <p className="eg-stars" role="img" aria-label={say('display.stars', { marks })}>
      {'★'.repeat(marks)}
      {marks < 5 && <i>{'★'.repeat(5 - marks)}</i>}
    </p>
  )
}
