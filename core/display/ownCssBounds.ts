import { parse as parseColour } from 'culori'
import { generate, walk, type CssNode } from 'css-tree'
import { textFonts } from './ownCssFonts'
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
const boundsOf: Record<Exclude<BoundsKind, 'opaque' | 'font' | 'words' | 'gradient'>, Bounds> = {
  fontSize: { pixels: [11, 120], percent: [70, 600], forbidden: /x-small|math/i },
  lineHeight: { pixels: [14, 200], percent: [100, 300], number: [1, 3] },
  letterSpacing: { pixels: [-0.8, 8], percent: [-5, 50] },
  wordSpacing: { pixels: [0, 16], percent: [0, 100] },
  space: { pixels: [0, 80], percent: [0, 15] },
  line: { pixels: [0, 40] },
  thinLine: { pixels: [0, 6] },
  // A line through a text makes it say the opposite.
  underline: { pixels: [0, 4], forbidden: /through|blink|error/i },
  boxShadow: { pixels: [-24, 24] },
  textShadow: { pixels: [-3, 3] },
  corners: { pixels: [0, 60], percent: [0, 50] },
  width: { pixels: [120, 4000], percent: [30, 100] },
}

/** Words that would clip, turn round or hide, of properties whose values are words alone. */
const forbiddenWords = /^text$|reverse|nowrap|^stable$/i

/** What a unit is in pixels, with the usual size of text. */
const pixelsOf: Record<string, number> = { px: 1, em: 16, rem: 16, lh: 24, ch: 8, ex: 8, pt: 4 / 3 }
/** The functions of colours and shadows; others compute lengths, which cannot be bounded. */
const colourFunctions = /^(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix|light-dark)$/i
const inherited = /^(inherit|currentcolor)$/i

/** Whether a value leaves the bounds of its property. */
export function boundsFault(property: string, value: CssNode): boolean {
  const kind = boundsKinds.get(property)
  if (!kind) return false
  const text = generate(value)
  if (kind === 'opaque') return !inherited.test(text) && !isOpaque(text)
  if (kind === 'font') return !familiesOf(text).every((family) => textFonts.has(family))
  if (kind === 'words') return !areWords(value)
  if (kind === 'gradient') return !isSoft(value)
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

/** A colour that is computed from others can't be judged, and counts as see-through. */
function isOpaque(text: string): boolean {
  const colour = parseColour(text)
  return colour !== undefined && (colour.alpha ?? 1) === 1
}

const familiesOf = (text: string) =>
  text.split(',').map((family) => family.replace(/["']/g, '').replace(/\s+/g, ' ').trim().toLowerCase())

function areWords(value: CssNode): boolean {
  let are = true
  walk(value, (node) => {
    if (node.type !== 'Value' && (node.type !== 'Identifier' || forbiddenWords.test(node.name))) are = false
  })
  return are
}

/** At most one gradient, from one colour to another, over all of what it is behind. */
function isSoft(value: CssNode): boolean {
  const top = 'children' in value && value.children ? [...value.children] : []
  if (top.some((node) => node.type === 'Operator' && node.value === '/')) return false
  const functions = top.filter((node) => node.type === 'Function' && !colourFunctions.test(node.name))
  return functions.length <= 1 && functions.every(isSoftGradient)
}

function isSoftGradient(node: CssNode): boolean {
  if (node.type !== 'Function' || /^repeating/i.test(node.name)) return false
  const stops: CssNode[][] = [[]]
  for (const child of node.children)
    if (child.type === 'Operator' && child.value === ',') stops.push([])
    else stops.at(-1)!.push(child)
  const positionsOf = (stop: CssNode[]) =>
    stop.filter(({ type }) => type === 'Percentage' || type === 'Dimension' || type === 'Number').length
  const colours = stops.filter((stop) => stop.some((one) => parseColour(generate(one)) !== undefined))
  // What comes first can be a direction.
  return (
    colours.length === 2 &&
    stops.length - colours.length <= 1 &&
    colours.every((one) => positionsOf(one) <= 1)
  )
}
