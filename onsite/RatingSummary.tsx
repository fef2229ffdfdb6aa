import type { DisplayModel } from '../core/display/displayModel'
import { layoutTraits } from '../core/display/layoutTraits'
import { litMarks, oneDecimal } from '../core/formats/rating'
import { Glyphs } from './Glyphs'

export function RatingSummary({ model }: { model: DisplayModel }) {
  const { tally, layout, translate, locale, links, parts } = model
  const { shows } = layoutTraits[layout.kind]
  if (tally.average === null)
    return links.write && (shows === 'line' || shows === 'badge') ? (
      <a className="eg-to" href={links.write} data-form={translate('visitor.close')}>
        {translate('visitor.write')}
      </a>
    ) : null
  const marks = litMarks(tally.average)
  const average = oneDecimal(tally.average, locale)
  const count = translate('visitor.of', { count: tally.count })
  if (shows === 'line')
    return (
      <a className="eg-to" href={links.all || links.how}>
        <Glyphs marks={1} of={1} glyph={parts.glyph} /> <b>{average}</b>{' '}
        <span>
          (<span aria-hidden="true">{tally.count}</span>
          <span className="eg-spoken">{count}</span>)
        </span>
      </a>
    )
  if (shows === 'badge')
    return (
      <a className="eg-to" href={links.all || links.how}>
        <b>{average}</b>
        <span>
          <Glyphs marks={marks} glyph={parts.glyph} label={translate('visitor.stars', { marks })} />
          <span>{count}</span>
        </span>
      </a>
    )
  const most = Math.max(...tally.byMark)
  return (
    <div className="eg-whole">
      <p className="eg-figure">
        <b>{average}</b>
        <Glyphs marks={marks} glyph={parts.glyph} label={translate('visitor.stars', { marks })} />
        <span>{count}</span>
      </p>
      <ol className="eg-bars">
        {[5, 4, 3, 2, 1].map((mark) => {
          const times = tally.byMark[mark - 1]!
          return (
            <li key={mark}>
              <span className="eg-spoken">{translate('visitor.mark', { mark, count: times })}</span>
              <span aria-hidden="true">{mark}</span>
              <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
                <rect width="100" height="8" fill="currentColor" opacity=".12" />
                <rect width={Math.round((times / most) * 1000) / 10} height="8" className="eg-bar" />
              </svg>
              <span aria-hidden="true">{times}</span>
            </li>
          )
        })}
      </ol>
    </div>
  )
}
