import { isAtEdge, isSmall } from '../../core/display/layoutTraits'
import { widthsToMeasure } from '../../core/display/reserve'
import type { Measure } from '../../core/display/measures'
import type { Arrangement } from '../../core/display/configuration'
import type { RenderedDisplay } from '../../onsite/render'
import { fillBox } from './preview/fillBox'

/** Measures the height of a display at many widths, or the size of a small one, invisibly beside its box, in the font of the page. */
export function measureBeside(box: HTMLElement, display: RenderedDisplay, layout: Arrangement): Measure[] {
  if (!box.isConnected) return []
  if (isAtEdge(layout.kind)) return [{ width: 1, height: 0 }]
  const probe = box.ownerDocument.createElement('div')
  probe.style.cssText = 'position:absolute;visibility:hidden;inset-inline-start:0;top:0;padding:0;border:0'
  const inner = box.ownerDocument.createElement('div')
  probe.append(inner)
  box.after(probe)
  try {
    if (isSmall(layout.kind)) {
      probe.style.width = 'max-content'
      fillBox(inner, display)?.()
      return inner.offsetHeight ? [{ width: inner.offsetWidth, height: inner.offsetHeight }] : []
    }
    return widthsToMeasure(layout).map((width) => {
      probe.style.width = `${width}px`
      fillBox(inner, display)?.()
      return { width, height: inner.offsetHeight }
    })
  } finally {
    probe.remove()
  }
}
