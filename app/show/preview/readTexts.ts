import type { TextPart } from '../../../core/display/choices'
import type { TextReading } from '../../../core/display/paintedFault'
import { paintedText, textsIn } from './paintedContrast'

interface ReadText extends TextReading {
  part: TextPart | null
}

/** Where a line of text is looked at, as shares of its width. */
const LOOKED_AT = [0.2, 0.5, 0.8]
const MOST_LINES = 6
/** Rounding, and letters that reach out of their box. */
const TOLERANCE_PX = 3
/** Shadows that are fainter hide nothing. */
const HIDING_ALPHA = 0.3

/** How each text of a display stands on its page. Its frame must be as high as the display. */
export function readTexts(root: ShadowRoot): ReadText[] {
  const rings = ringsIn(root)
  return textsIn(root).map((text) => readText(text, rings))
}

function readText({ node, element }: ReturnType<typeof textsIn>[number], rings: Ring[]): ReadText {
  const range = element.ownerDocument.createRange()
  range.selectNodeContents(node)
  const lines = [...range.getClientRects()].filter(({ width, height }) => width > 1 && height > 1)
  const seen = lines.filter((_, i) => i % Math.ceil(lines.length / MOST_LINES) === 0)
  const points = seen.flatMap(({ left, top, width, height }) =>
    LOOKED_AT.map((share) => ({ x: left + share * width, y: top + height / 2 })),
  )
  const style = getComputedStyle(element)
  const size = parseFloat(style.fontSize)
  const home = homeOf(element).getBoundingClientRect()
  const { part, ratio } = paintedText(element)
  return {
    part,
    isVisible:
      lines.length > 0 && element.checkVisibility({ opacityProperty: true, visibilityProperty: true }),
    isInFront: points.every(
      (point) => isOnTop(element, point) && !rings.some((ring) => covers(ring, element, point)),
    ),
    isInPlace: points.every(
      ({ x, y }) =>
        x > home.left - TOLERANCE_PX &&
        x < home.right + TOLERANCE_PX &&
        y > home.top - TOLERANCE_PX &&
        y < home.bottom + TOLERANCE_PX,
    ),
    size,
    // "normal" is at least one size.
    leading: (parseFloat(style.lineHeight) || size) / size,
    contrast: ratio,
  }
}

interface Point {
  x: number
  y: number
}

function isOnTop(element: Element, { x, y }: Point): boolean {
  const top = (element.getRootNode() as ShadowRoot).elementFromPoint(x, y)
  return top !== null && element.contains(top)
}

/** The review that a text belongs to, or the whole display. */
function homeOf(element: Element): Element {
  const home = element.closest('figure, tr, .eg')
  if (home) return home
  const root = element.getRootNode()
  return root instanceof ShadowRoot ? homeOf(root.host) : element
}

/** What an element paints around its box: a shadow or an outline. */
interface Ring {
  of: Element
  outer: DOMRect
  box: DOMRect
  /** Outlines are painted last. */
  isOutline: boolean
}

function ringsIn(root: ShadowRoot): Ring[] {
  return [...root.querySelectorAll<HTMLElement>('*')].flatMap((of) => {
    const style = getComputedStyle(of)
    const outline = style.outlineStyle === 'none' ? 0 : parseFloat(style.outlineWidth)
    const shadows = outerShadows(style.boxShadow)
    if (outline === 0 && shadows.length === 0) return []
    const box = of.getBoundingClientRect()
    const around = (x: number, y: number, by: number) =>
      new DOMRect(box.x + x - by, box.y + y - by, box.width + 2 * by, box.height + 2 * by)
    return [
      ...shadows.map(({ x, y, spread }) => ({ of, box, outer: around(x, y, spread), isOutline: false })),
      ...(outline > 0
        ? [{ of, box, outer: around(0, 0, outline + parseFloat(style.outlineOffset)), isOutline: true }]
        : []),
    ]
  })
}

/** Those of a computed value that are outside of the box and can be seen: "rgb(0, 0, 0) 0px 0px 4px 2px, …". */
function outerShadows(computed: string): { x: number; y: number; spread: number }[] {
  if (computed === 'none') return []
  return computed.split(/,(?![^(]*\))/).flatMap((shadow) => {
    const alpha = /rgba\([^)]*,\s*([\d.]+)\)/.exec(shadow)?.[1] ?? '1'
    const [x = 0, y = 0, , spread = 0] = [...shadow.matchAll(/(-?[\d.]+)px/g)].map(([, size]) => Number(size))
    return shadow.includes('inset') || Number(alpha) < HIDING_ALPHA ? [] : [{ x, y, spread }]
  })
}

/** Whether a ring is painted over a text at a point: text within its element is painted after it. */
function covers({ of, outer, box, isOutline }: Ring, element: Element, { x, y }: Point): boolean {
  if (!isIn(outer, x, y) || isIn(box, x, y) || of.contains(element)) return false
  const isLater = Boolean(element.compareDocumentPosition(of) & Node.DOCUMENT_POSITION_FOLLOWING)
  return isOutline || isLater
}

const isIn = ({ left, right, top, bottom }: DOMRect, x: number, y: number) =>
  x > left && x < right && y > top && y < bottom
