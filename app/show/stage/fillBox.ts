import type { RenderedDisplay } from '../../../onsite/render'
import { groundAround, suit } from '../../../onsite/ground'
import { wake } from '../../components/wake'

/** The output is what visitors get; only that it can be clicked is shown on top. */
const clickable = `.eg [class^="eg-"]:not(.eg-with-face,.eg-slides,.eg-steps,.eg-step,.eg-dots):hover{outline:1.5px dotted currentColor;outline-offset:2px;cursor:pointer}`

/** Fills a box with a display as the loader does. Answers what ends it. */
export function fillBox(
  box: HTMLElement,
  { html, css, behaviour }: RenderedDisplay,
  theme?: string,
): (() => void) | undefined {
  const root = box.shadowRoot ?? box.attachShadow({ mode: 'open' })
  // A page's own document takes no sheet that was constructed in ours.
  const style = box.ownerDocument.createElement('style')
  style.textContent = css + clickable
  const ground = groundAround(box, theme)
  root.innerHTML = html
  root.prepend(style)
  const display = root.querySelector<HTMLElement>('.eg')
  suit(display, ground)
  if (!display) return undefined
  box.toggleAttribute('data-inline', display.matches('.eg-badge,.eg-ratingLine'))
  return wake(root, behaviour)
}
