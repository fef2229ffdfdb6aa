import type { DisplayModel } from '../core/display/displayModel'
import { oneDecimal } from '../core/formats/rating'
import { SiteIcon } from './SiteIcon'

/**
 * Where the reviews come from, as links that work without scripts. The module filters what is there at once.
 */
export function OriginFilter({ model }: { model: DisplayModel }) {
  const { links, locale, translate, tally, publishableCount, readBy, shortName } = model
  const there = model.origins.filter(({ here }) => here > 0)
  const own = publishableCount - there.reduce((sum, { here }) => sum + here, 0)
  if (there.length === 0 || there.length + Number(own > 0) < 2) return null
  const address = (origin: string) =>
    origin ? `${links.all}${links.all.includes('?') ? '&' : '?'}origin=${origin}` : links.all
  const choice = (origin: string, name: string, icon: string, average: string, here: number) => (
    <a
      key={origin}
      href={address(origin)}
      data-origin={origin}
      data-here={here}
      aria-current={readBy === origin ? 'true' : undefined}
    >
      <SiteIcon path={icon} /> {name} {average && <b>{average}</b>} <span>({here})</span>
    </a>
  )
  return (
    <nav className="eg-origins" aria-label={translate('visitor.byOrigin')}>
      {choice('', translate('visitor.everywhere'), '', '', publishableCount)}
      {there.map(({ origin, site, icon, average, scale, here }) =>
        choice(origin, site, icon, shownAverage(average, scale, locale), here),
      )}
      {own > 0 &&
        choice(
          'own',
          translate('visitor.own', { shop: shortName }),
          '',
          tally.average === null ? '' : oneDecimal(tally.average, locale),
          own,
        )}
    </nav>
  )
}

/** On the scale of the site: "4.7", but "9.0/10". */
function shownAverage(average: number | null, scale: number | null, locale: string): string {
  if (average === null || scale === null) return ''
  const shown = oneDecimal(average * 100, locale)
  return scale === 5 ? shown : `${shown}/${scale}`
}
