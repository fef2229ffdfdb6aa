import { Fragment } from 'react'
import { layoutTraits } from '../core/display/layoutTraits'
import type { DisplayModel } from '../core/display/displayModel'
import { oneDecimal } from '../core/formats/rating'
import { siteNumbers } from './siteNumbers'
import { RequiredNote } from './RequiredNote'
import { SiteIcon } from './SiteIcon'

// The note that reviews were selected cannot be switched off.
export function DisplayHeader({ model }: { model: DisplayModel }) {
  const {
    tally,
    heading,
    publishableCount,
    quotations,
    hasSamples,
    locale,
    translate,
    layout,
    links,
    ownCss,
  } = model
  const whole = layoutTraits[layout.kind].shows === 'summary'
  // Average and count stand beside the bars already.
  const isSummed = (whole || heading.bars) && tally.average !== null
  const limits = Object.values(model.bands).map(({ changes }) => changes.limit ?? Infinity)
  const fewest = Math.min(quotations.length, model.shownElsewhere ?? Infinity, ...limits)
  const reachable = model.paging?.total ?? fewest
  const pickedFew = !whole && quotations.length > 0 && reachable < publishableCount
  const { average, count, write, all, button } = heading
  const origins = model.origins.filter(({ here }) => here > 0)
  // A sheet of answers states neither average nor count.
  const stating = origins.filter(({ average, scale }) => average !== null || scale === null)
  const onlyThere =
    publishableCount > 0 && origins.reduce((sum, { here }) => sum + here, 0) === publishableCount
  return (
    <p className="eg-sum">
      {!isSummed && !whole && (average || count) && !hasSamples && !(onlyThere && tally.average === null) && (
        <span className="eg-average">
          {tally.average === null ? (
            translate(publishableCount > 0 ? 'visitor.noAverage' : 'visitor.none')
          ) : (
            <>
              {average && <b>{oneDecimal(tally.average, locale)}</b>}{' '}
              {count && translate(average ? 'visitor.from' : 'visitor.of', { count: tally.count })}
            </>
          )}
        </span>
      )}
      {heading.siteNumbers &&
        !hasSamples &&
        stating.map((one) => (
          <span key={one.origin} className="eg-site">
            <SiteIcon path={one.icon} /> {siteNumbers(model, one)}
          </span>
        ))}
      {pickedFew && (
        <RequiredNote ownCss={ownCss}>
          <span className="eg-picked">{pickedWords(model)}</span>
        </RequiredNote>
      )}
      {publishableCount > 0 && (
        <RequiredNote ownCss={ownCss}>
          <a className="eg-how" href={links.how}>
            {translate('visitor.policy')}
          </a>
        </RequiredNote>
      )}
      {all && links.all && publishableCount > 0 && (
        <a className="eg-all" href={links.all}>
          {translate('visitor.all', { count: publishableCount })}
        </a>
      )}
      {write && links.write && (
        <a className="eg-write" href={links.write} data-form={translate('visitor.close')}>
          {translate('visitor.write')}
        </a>
      )}
      {origins.map(({ origin, site, url, writeUrl }) => (
        <Fragment key={origin}>
          {heading.allThere && url && (
            <a className="eg-all" href={url} rel="nofollow noopener">
              {translate('visitor.allThere', { site })}
            </a>
          )}
          {heading.writeThere && writeUrl && (
            <a className="eg-write" href={writeUrl} rel="nofollow noopener">
              {translate('visitor.writeThere', { site })}
            </a>
          )}
        </Fragment>
      ))}
      {button.words.trim() && button.url && (
        <a className="eg-button" href={button.url}>
          {button.words.trim()}
        </a>
      )}
    </p>
  )
}

function pickedWords({
  quotations,
  paging,
  publishableCount,
  elsewhereCount,
  shortName,
  ratings,
  translate,
  language,
  bands,
}: DisplayModel): string {
  const isMixed = elsewhereCount > 0 && elsewhereCount < publishableCount
  const stock = isMixed
    ? translate('visitor.alsoElsewhere', { all: publishableCount, elsewhere: elsewhereCount })
    : String(publishableCount)
  const values = { count: paging?.total ?? quotations.length, shop: shortName, stock }
  // One sentence stands at all widths.
  const isSameNumber = Object.values(bands).every(({ changes }) => !changes.limit)
  if (ratings === null) return translate(isSameNumber ? 'visitor.picked' : 'visitor.pickedSome', values)
  const list = new Intl.ListFormat(language, { type: 'disjunction' }).format(ratings.map(String))
  return translate(isSameNumber ? 'visitor.pickedRated' : 'visitor.pickedSomeRated', {
    ...values,
    ratings: list,
  })
}
