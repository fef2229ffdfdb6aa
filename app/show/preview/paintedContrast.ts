import { formatHex, parse, wcagContrast, type Rgb, converter } from 'culori'
import type { TextPart } from '../../../core/display/choices'

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
  'eg-head': 'headline',
  'eg-words': 'words',
  'eg-name': 'name',
  'eg-role': 'about',
  'eg-company': 'about',
  'eg-on': 'about',
  'eg-date': 'date',
  'eg-proof': 'proof',
  'eg-own': 'proof',
  'eg-posted': 'proof',
  'eg-reply': 'reply',
  'eg-how': 'links',
  'eg-all': 'links',
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
  const worst = new Map<TextPart | null, PaintedText>()
  const walker = root.ownerDocument.createTreeWalker(root, NodeFilter.SHOW_TEXT)
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement
    if (!element || element.tagName === 'STYLE' || !node.textContent?.trim() || !element.offsetParent)
      continue
    if (element.closest('.eg-spoken')) continue
    const painted = paintedText(element)
    const known = worst.get(painted.part)
    if (!known || painted.ratio - painted.needed < known.ratio - known.needed)
      worst.set(painted.part, painted)
  }
  return [...worst.values()]
}

function paintedText(element: HTMLElement): PaintedText {
  const style = getComputedStyle(element)
  const background = backgroundBehind(element)
  const colour = over(read(style.color), background)
  const size = parseFloat(style.fontSize)
  const isLarge = size >= LARGE_PX || (size >= LARGE_BOLD_PX && Number(style.fontWeight) >= 700)
  const part = partOf(element)
  return {
    part,
    // Symbols are graphics.
    needed: isLarge || part === 'symbols' ? LARGE_RATIO : TEXT_RATIO,
    ratio: wcagContrast(colour, background),
    colour: formatHex(colour),
    background: formatHex(background),
  }
}

function partOf(element: Element): TextPart | null {
  for (let at: Element | null = element; at; at = at.parentElement)
    for (const name of at.classList) if (partOfClass[name]) return partOfClass[name]
  return null
}

/** All backgrounds behind an element, out of shadow roots, laid over white. */
function backgroundBehind(element: Element): Rgb {
  const layers: Rgb[] = []
  for (let at: Element | null = element; at; at = at.parentElement ?? hostOf(at)) {
    const layer = read(getComputedStyle(at).backgroundColor)
    layers.push(layer)
    if ((layer.alpha ?? 1) === 1) break
  }
  return layers.reduceRight((below, layer) => over(layer, below), read('#ffffff'))
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
