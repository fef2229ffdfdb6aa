import type { RenderedDisplay } from '../../../onsite/render'
import { backgroundAround, applyColorScheme } from '../../../onsite/colorScheme'
import { activate } from '../../components/activate'

/** Adds outlines to clickable parts; all else is the visitors' output. */
const clickable = `.eg [class^="eg-"]:not(.eg-with-face,.eg-slides,.eg-steps,.eg-step,.eg-dots):hover{outline:1.5px dotted currentColor;outline-offset:2px;cursor:pointer}`

/** Our policy allows only constructed style sheets, and each document only those that are constructed in it. */
function addStyles(root: ShadowRoot, css: string): void {
  const { CSSStyleSheet } = root.ownerDocument.defaultView as Window & typeof globalThis
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(css)
  root.adoptedStyleSheets = [sheet]
}

/** Fills a box like the embed script does. Returns a function that stops its scripts. */
export function fillBox(
  box: HTMLElement,
  { html, css, behaviours }: RenderedDisplay,
  theme?: string,
): (() => void) | undefined {
  const root = box.shadowRoot ?? box.attachShadow({ mode: 'open' })
  const background = backgroundAround(box, theme)
  root.innerHTML = html
  addStyles(root, css + clickable)
  const display = root.querySelector<HTMLElement>('.eg')
  applyColorScheme(display, background)
  if (!display) return undefined
  box.toggleAttribute('data-inline', display.matches('.eg-badge,.eg-ratingLine'))
  return activate(root, behaviours)
}
