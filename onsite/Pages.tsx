import type { DisplayModel } from '../core/display/displayModel'
import { pageNumbers } from '../core/display/paging'

/** The way to further pages. Without scripts these are links to the display's own page. */
export function Pages({ model: { paging, translate } }: { model: DisplayModel }) {
  if (!paging || paging.pages < 2) return null
  const { kind, page, pages, address } = paging
  if (kind !== 'pages')
    return page < pages ? (
      <nav className="eg-pages" data-paging={kind} aria-label={translate('visitor.pages')}>
        <a className="eg-next" href={address + String(page + 1)}>
          {translate('visitor.more')}
        </a>
      </nav>
    ) : null
  const step = (to: number, name: 'before' | 'after') =>
    to >= 1 && to <= pages ? <a href={address + String(to)}>{translate(`visitor.${name}`)}</a> : null
  return (
    <nav className="eg-pages" data-paging={kind} aria-label={translate('visitor.pages')}>
      {step(page - 1, 'before')}
      {pageNumbers(page, pages).map((one, i) =>
        one === null ? (
          <span key={`gap ${i}`}>…</span>
        ) : (
          <a
            key={one}
            href={address + String(one)}
            aria-label={translate('visitor.page', { page: one, pages })}
            aria-current={one === page ? 'page' : undefined}
          >
            {one}
          </a>
        ),
      )}
      {step(page + 1, 'after')}
    </nav>
  )
}
