import { formatHex, parse, wcagContrast, type Rgb, converter } from 'culori'
import type { TextPart } from '../../../core/display/choices'
import { reviewParts } from '../../../core/display/reviewParts'

const toRgb = converter('rgb')
const TEXT_RATIO = 4.5
const LARGE_RATIO = 3
/** WCAG 2.2: large text has 24 px, or 18.66 px in bold. */
const LARGE_PX = 24
const LARGE_BOLD_PX = 18.66

/** The texts whose colour can be set, by the class of their element; the innermost wins. */
const partOfClass: Record<string, TextPart> = {
  'eg-title': 'title',
  'eg-line': 'line',
  'eg-sum': 'average',
  'eg-whole': 'average',
  'eg-glyphs': 'symbols',
  'eg-name': 'name',
  'eg-date': 'date',
  'eg-own': 'proof',
  'eg-posted': 'proof',
  'eg-how': 'links',
  'eg-all': 'links',
  ...Object.fromEntries(Object.values(reviewParts).flatMap(({ css, text }) => (text ? [[css, text]] : []))),
}

/** A text as it is painted; colours are hex. */
export interface PaintedText {
  part: TextPart | null
  ratio: number
  needed: number
  colour: string
  background: string
}

/** The text of each kind that is the hardest to read, as the browser paints it. */
export function paintedTexts(root: ShadowRoot): PaintedText[] {
  return worstOfEach(
    textsIn(root).flatMap(({ element }) => (element.offsetParent ? paintedText(element) : [])),
  )
}

/** The text of each kind that is the hardest to read. */
export function worstOfEach(texts: PaintedText[]): PaintedText[] {
  const worst = new Map<TextPart | null, PaintedText>()
  for (const text of texts) {
    const known = worst.get(text.part)
    if (!known || text.ratio - text.needed < known.ratio - known.needed) worst.set(text.part, text)
  }
  return [...worst.values()]
}

/** The texts for the eye in the order of the document, those of notes after the others. */
export function textsIn(root: ShadowRoot): { node: Text; element: HTMLElement }[] {
  const found: { node: Text; element: HTMLElement }[] = []
  const walker = root.ownerDocument.createTreeWalker(root, NodeFilter.SHOW_TEXT)
  for (let node = walker.nextNode() as Text | null; node; node = walker.nextNode() as Text | null) {
    const element = node.parentElement
    if (!element || element.tagName === 'STYLE' || node.data.trim() === '') continue
    if (!element.closest('.eg-spoken')) found.push({ node, element })
  }
  return [
    ...found,
    ...[...root.querySelectorAll('*')].flatMap(({ shadowRoot }) => (shadowRoot ? textsIn(shadowRoot) : [])),
  ]
}

export function paintedText(element: HTMLElement): PaintedText {
  const style = getComputedStyle(element)
  const { colour, background } = backgroundsBehind(element)
    .map((behind) => ({ background: behind, colour: over(read(style.color), behind) }))
    .reduce((worst, one) => (contrastOf(one) < contrastOf(worst) ? one : worst))
  const size = parseFloat(style.fontSize)
  const isLarge = size >= LARGE_PX || (size >= LARGE_BOLD_PX && Number(style.fontWeight) >= 700)
  const part = partOf(element)
  return {
    part,
    // Symbols are graphics.
    needed: isLarge || part === 'symbols' ? LARGE_RATIO : TEXT_RATIO,
    ratio: contrastOf({ colour, background }),
    colour: formatHex(colour),
    background: formatHex(background),
  }
}

function partOf(element: Element): TextPart | null {
  for (let at: Element | null = element; at; at = at.parentElement)
    for (const name of at.classList) if (partOfClass[name]) return partOfClass[name]
  return null
}

const contrastOf = ({ colour, background }: { colour: Rgb; background: Rgb }) =>
  wcagContrast(colour, background)

/** What can be behind an element, out of shadow roots, over white: one colour, or each of those of a gradient. */
function backgroundsBehind(element: Element): Rgb[] {
  const layers: Rgb[][] = []
  for (let at: Element | null = element; at; at = at.parentElement ?? hostOf(at)) {
    const { backgroundColor, backgroundImage } = getComputedStyle(at)
    const gradient = backgroundImage.match(/\b(rgba?|color|oklch|oklab|lab|lch)\([^()]*\)/g)?.map(read)
    if (gradient) layers.push(gradient)
    const plain = read(backgroundColor)
    layers.push([plain])
    if ((plain.alpha ?? 1) === 1) break
  }
  return layers.reduceRight<Rgb[]>(
    (below, layer) => layer.flatMap((one) => below.map((under) => over(one, under))),
    [read('#ffffff')],
  )
}

const hostOf = (element: Element) => {
  const root = element.getRootNode()
  return root instanceof ShadowRoot ? root.host : null
}

const read = (colour: string): Rgb => toRgb(parse(colour) ?? { mode: 'rgb', r: 1, g: 1, b: 1, alpha: 0 })

/** A colour with transparency over an opaque one. */
function over({ r, g, b, alpha = 1 }: Rgb, below: Rgb): Rgb {
  const mixed = (upper: number, lower: number) => upper * alpha + lower * (1 - alpha)
  return { mode: 'rgb', r: mixed(r, below.r), g: mixed(g, below.g), b: mixed(b, below.b) }
}
