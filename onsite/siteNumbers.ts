import type { DisplayModel } from '../core/display/displayModel'
import type { OriginSummary } from '../core/display/origins'
import { oneDecimal } from '../core/formats/rating'

/** What a site states itself: "4.7 from 122 reviews on Lanternway"; only its name if it states nothing. */
export function siteNumbers(
  { locale, translate }: Pick<DisplayModel, 'locale' | 'translate'>,
  { site, average, scale, count }: OriginSummary,
): string {
  if (count === null) return site
  if (scale === null) return translate('visitor.sitePosts', { count, site })
  if (average === null) return site
  const values = { average: oneDecimal(average * 100, locale), count, site }
  return scale === 5
    ? translate('visitor.siteNumbers', values)
    : translate('visitor.siteNumbersOf', { ...values, scale })
}
