import type { RenderedDisplay } from '../../../onsite/render'
import { backgroundAround, applyColorScheme } from '../../../onsite/colorScheme'
import { activate } from '../../components/activate'

/** The output is what visitors get; only that it can be clicked is shown on top. */
const clickable = `.eg [class^="eg-"]:not(.eg-with-face,.eg-slides,.eg-steps,.eg-step,.eg-dots):hover{outline:1.5px dotted currentColor;outline-offset:2px;cursor:pointer}`

/** Our own policy takes constructed sheets only; the document of another page takes none that was constructed in ours. */
function addStyles(root: ShadowRoot, css: string): void {
  if (root.ownerDocument === document) {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    root.adoptedStyleSheets = [sheet]
    return
  }
  const style = root.ownerDocument.createElement('style')
  style.textContent = css
  root.prepend(style)
}

/** Fills a box with a display as the loader does. Answers what ends it. */
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
