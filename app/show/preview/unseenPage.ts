import { shadowStyles } from '../../../onsite/styles'
import { ownLayer } from '../../../onsite/ownCssStyles'
import { cssOf, type OwnRule } from '../../../core/display/ownCss'
import { resolveTheme } from '../../../core/display/theme'
import type { EditorView } from '../../../server/publishing/showViews'
import { fillBox } from './fillBox'

/** The widths at which what is painted is judged, in CSS pixels. */
export const JUDGED_WIDTHS = [1200, 600, 320]

/** Lays out the display at a width, with these styles, as high as it is. */
type PaintUnseen = (width: number, css: string) => ShadowRoot

/**
 * A page that nobody sees, in the colours of the shop's page. It is a frame of its own: there a point can be asked for
 * what is painted on it, wherever our own page stands. Call `end` when done.
 */
export function openUnseenPage({ preview, look, colours }: EditorView): {
  paint: PaintUnseen
  end: () => void
} {
  const frame = document.createElement('iframe')
  frame.inert = true
  frame.style.cssText = 'position:fixed;left:0;top:0;border:0;opacity:0;pointer-events:none;z-index:-1'
  document.body.append(frame)
  const page = frame.contentDocument!
  const { background, textColour } = colours.pages.shop
  page.body.style.cssText = `margin:0;background:${background};color:${textColour};font-size:17px;font-family:${look.fonts}`
  const box = page.createElement('div')
  page.body.append(box)
  const paint = (width: number, css: string) => {
    frame.style.width = `${width}px`
    fillBox(box, { ...preview, css, behaviours: preview.behaviours.filter((name) => name === 'notes') })
    frame.style.height = `${box.offsetHeight}px`
    return box.shadowRoot!
  }
  return { paint, end: () => frame.remove() }
}

/** The styles of the display in one of the ways that a page can show it, with some of the rules of its own CSS. */
export function stylesWith(
  { preview, draft, site, fontsUrl }: EditorView,
  { scheme, ownCss }: EditorView['painted'][number],
  rules: OwnRule[],
): string {
  const css = cssOf(rules)
  if (scheme === null) return preview.css.replace(ownLayer(cssOf(ownCss.rules)), () => ownLayer(css))
  return shadowStyles({
    layout: draft.layout,
    theme: resolveTheme(draft.theme, site, scheme),
    quotations: [],
    origins: [],
    business: null,
    paging: null,
    fontsUrl,
    ownCss: ownCss.rules.length > 0 ? { css, paints: ownCss.paints } : null,
  })
}
