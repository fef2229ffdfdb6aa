import { generate, walk, type CssNode } from 'css-tree'
import { boundsKinds, type BoundsKind } from './ownCssProperties'

/** The least and the greatest of a length in CSS pixels, of a percentage, and of a plain number. */
interface Bounds {
  pixels: [least: number, most: number]
  percent?: [least: number, most: number]
  number?: [least: number, most: number]
  /** Words that are as bad as too small a number. */
  forbidden?: RegExp
}

/** Within these, a text stays legible and where it is, and covers nothing. */
const boundsOf: Record<Exclude<BoundsKind, 'opaque'>, Bounds> = {
  fontSize: { pixels: [11, 120], percent: [70, 600], forbidden: /x-small|math/i },
  lineHeight: { pixels: [14, 200], percent: [100, 300], number: [1, 3] },
  letterSpacing: { pixels: [-0.8, 8], percent: [-5, 50] },
  wordSpacing: { pixels: [0, 16], percent: [0, 100] },
  space: { pixels: [0, 160], percent: [0, 15] },
  line: { pixels: [0, 40] },
  shadow: { pixels: [-60, 60] },
  width: { pixels: [120, 4000], percent: [30, 100] },
}

/** What a unit is in pixels, with the usual size of text. */
const pixelsOf: Record<string, number> = { px: 1, em: 16, rem: 16, lh: 24, ch: 8, ex: 8, pt: 4 / 3 }
const seeThrough = /transparent|\/|rgba\(|hsla\(|#[\da-f]{4}(?![\da-f])|#[\da-f]{8}/i
/** The functions of colours and shadows; others compute lengths, which cannot be bounded. */
const colourFunctions = /^(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix|light-dark)$/i

/** Whether a value leaves the bounds of its property. */
export function boundsFault(property: string, value: CssNode): boolean {
  const kind = boundsKinds.get(property)
  if (!kind) return false
  const text = generate(value)
  if (kind === 'opaque') return seeThrough.test(text)
  const { pixels, percent, number, forbidden } = boundsOf[kind]
  if (forbidden?.test(text)) return true
  let isOutside = false
  let within = 0
  const check = (amount: number, bounds: [number, number] | undefined) => {
    if (!bounds || amount < bounds[0] || amount > bounds[1]) isOutside = true
  }
  walk(value, {
    enter(node: CssNode) {
      if (node.type === 'Function') {
        if (!colourFunctions.test(node.name)) isOutside = true
        within++
      }
      // The numbers of a colour are not lengths.
      if (within > 0) return
      if (node.type === 'Dimension') {
        const factor = pixelsOf[node.unit.toLowerCase()]
        check(
          factor === undefined ? NaN : Number(node.value) * factor,
          factor === undefined ? undefined : pixels,
        )
      } else if (node.type === 'Percentage') check(Number(node.value), percent)
      else if (node.type === 'Number') check(Number(node.value), number ?? pixels)
    },
    leave(node: CssNode) {
      if (node.type === 'Function') within--
    },
  })
  return isOutside
}
