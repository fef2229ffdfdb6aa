import { bandWidths, bands } from '../core/display/bands'
import type { Layout } from '../core/display/choices'
import type { DisplayModel } from '../core/display/displayModel'
import { layoutTraits } from '../core/display/layoutTraits'
import { reviewParts } from '../core/display/reviewParts'
import { cardStyles, eachText } from './themeStyles'

/** A card begins anew, since its line may be on another side elsewhere. */
const plainCard =
  '.eg figure{display:block;height:auto;border:0;border-radius:0;padding:0;background:none;box-shadow:none;text-align:start}.eg figcaption{margin:.45em 0 0;text-align:start}'

const items = '.eg ol:not(.eg-bars)>li'

/** Shows the first so many reviews. */
export const atMost = (count: number): string =>
  ['.eg tbody>tr', items].map((item) => `${item}:nth-child(n + ${count + 1})`).join() + '{display:none}'

export function bandStyles(styled: DisplayModel['bands'], layout: Layout): string {
  return bands
    .map((band) => {
      const one = styled[band]
      if (!one) return ''
      const { from, upTo } = bandWidths[band]
      const { changes, theme } = one
      const isOfReviews = layoutTraits[layout].shows === 'reviews'
      const rules = [
        isOfReviews && (changes.card || changes.frame) && plainCard + cardStyles(theme, layout),
        changes.columns && `.eg ol{--eg-n:${changes.columns}}`,
        changes.density && `.eg>*{--eg-gap:${changes.density / 100}}`,
        changes.limit && `${items}{display:list-item}${atMost(changes.limit)}`,
        eachText(changes.texts),
        ...changes.hidden.map((part) => `.eg .${reviewParts[part].css}{display:none}`),
        changes.hidden.includes('portrait') && '.eg .eg-with-face{padding:0;min-height:0}',
      ]
      const css = rules.filter(Boolean).join('')
      return css && `@container (min-width:${from}px) and (max-width:${upTo}px){${css}}`
    })
    .join('')
}
