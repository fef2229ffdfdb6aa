import type { PageStyle } from '../../../core/display/lookFromPage'

const BUTTONS = 'button,input[type=submit],a.button,a.btn,[class*=button],[class*=btn]'
/** Fewer equal neighbours are no pattern of the page. */
const MIN_REPEATED = 3
const MAX_ELEMENTS = 4000

/** What a page looks like, from the styles that the browser computes. The display itself is left out. */
export function readPageStyle(page: Document): PageStyle {
  const window = page.defaultView!
  const styleOf = (element: Element) => window.getComputedStyle(element)
  const isSeen = (element: Element) =>
    element.getClientRects().length > 0 && !element.closest('[data-elogio],header,nav,footer')
  const main = page.querySelector('main') ?? page.body
  const found = (css: string) => [...main.querySelectorAll(css)].find(isSeen) ?? null
  const heading = found('h2') ?? found('h1,h3')
  const button = found(BUTTONS)
  const headingStyle = heading && styleOf(heading)
  const buttonStyle = button && styleOf(button)
  return {
    textSize: parseFloat(styleOf(found('p') ?? page.body).fontSize),
    heading: headingStyle && {
      size: parseFloat(headingStyle.fontSize),
      weight: Number(headingStyle.fontWeight),
      isCapitals: headingStyle.textTransform === 'uppercase',
      isItalic: headingStyle.fontStyle === 'italic',
    },
    button: buttonStyle && {
      isFilled: isPainted(buttonStyle.backgroundColor),
      hasBorder: parseFloat(buttonStyle.borderTopWidth) > 0 && buttonStyle.borderTopStyle !== 'none',
      corners: parseFloat(buttonStyle.borderTopLeftRadius) || 0,
    },
    card: cardIn(main, styleOf, isSeen),
  }
}

const isPainted = (colour: string) => !/^rgba\(.*, 0\)$|^transparent$/.test(colour)

/** The first surface with a line, a shadow or a background that several neighbours share. */
function cardIn(
  main: Element,
  styleOf: (element: Element) => CSSStyleDeclaration,
  isSeen: (element: Element) => boolean,
): PageStyle['card'] {
  for (const parent of [...main.querySelectorAll('*')].slice(0, MAX_ELEMENTS)) {
    const [first, ...others] = [...parent.children]
    const alike = others.filter(
      ({ tagName, className }) => tagName === first!.tagName && className === first!.className,
    )
    if (!first || alike.length < MIN_REPEATED - 1 || !isSeen(first)) continue
    const style = styleOf(first)
    const width = (side: string) =>
      style.getPropertyValue(`border-${side}-style`) === 'none'
        ? 0
        : parseFloat(style.getPropertyValue(`border-${side}-width`))
    const widths = { top: width('top'), bottom: width('bottom'), start: width('left'), end: width('right') }
    const lineWidth = Math.max(...Object.values(widths))
    const hasShadow = style.boxShadow !== 'none'
    const isFilled = isPainted(style.backgroundColor)
    if (lineWidth === 0 && !hasShadow && !isFilled) continue
    const { top, bottom, start, end } = widths
    return {
      sides: { top: top > 0, bottom: bottom > 0, start: start > 0, end: end > 0 },
      lineWidth,
      corners: parseFloat(style.borderTopLeftRadius) || 0,
      hasShadow,
      isFilled,
      padding: parseFloat(style.paddingTop) || 0,
    }
  }
  return null
}
