import { converter, differenceEuclidean, formatHex, parse, wcagContrast, type Color } from 'culori'
import { isUsed, type Declaration } from './css'

/** The colours of a page, as hex. */
export interface SiteColours {
  /** What stands behind its words. */
  background: string
  textColour: string
  /** The likeliest brand colour, or null when the page has none but greys. */
  brand: string | null
  /** Others that stand out, the likelier first; the brand colour is the first. */
  candidates: string[]
}

const toOklch = converter('oklch')
const toOklab = converter('oklab')
const apart = differenceEuclidean('oklab')

/** OKLCH chroma under which a colour is a grey. */
const GREY = 0.04
/** Distance in OKLab within which two colours are taken for one. */
const SAME = 0.045
/** Keeps a vivid colour used once from outdoing a calm one used everywhere. */
const LEVELLING = 0.3
/** What a browser colours links with when nobody chose. */
const LINK_BLUE = '#0000ee'
/** How much a rule counts that nothing on the page can match. */
const UNUSED = 0.1
/** Colours that are distinguished on one site. */
const MAX_COLOURS = 400
/** Different values that are looked at. */
const MAX_VALUES = 4000
const CANDIDATES_MOST = 6
const WHITE = '#ffffff'
const INK = '#1b1a17'

const about = {
  brandName: /brand|primary|accent|theme|main/i,
  prominent: /\b(header|nav|btn|button|cta|hero|banner|submit|logo)\b/i,
  link: /(^|\s)a(:link)?$/i,
  warning: /error|danger|alert|warn|invalid|success|valid|sale|discount/i,
}

/** How much a declaration says for its colour being the brand's. */
function weightOf({ selector, property }: Declaration): number {
  if (about.warning.test(selector) || about.warning.test(property)) return 0
  if (property.startsWith('--')) return about.brandName.test(property) ? 8 : 1
  if (property.startsWith('background')) return about.prominent.test(selector) ? 8 : 2
  if (property === 'color') return about.link.test(selector) ? 4 : 0.5
  return /^(border|fill|outline|text-decoration)/.test(property) ? 0.5 : 0
}

/**
 * Background, text colour and brand colour of a page, from what its style sheets and its own statements (theme colours) say.
 * A colour scores by where it is used, times its chroma; greys are no brand.
 * @param used the classes on the page: what a framework brings along for others hardly counts
 */
export function coloursOf(
  declarations: Declaration[],
  stated: (string | null)[],
  used: ReadonlySet<string>,
): SiteColours {
  const background = ofPage(declarations, ['background', 'background-color']) ?? WHITE
  const textColour = ofPage(declarations, ['color'])
  const weighed: { colour: Color; lab: Color; weight: number }[] = []
  const add = (colour: Color, weight: number) => {
    const lab = toOklab(colour)
    const same = weighed.find((known) => apart(known.lab, lab) < SAME)
    if (same) same.weight += weight
    else if (weighed.length < MAX_COLOURS) weighed.push({ colour, lab, weight })
  }
  for (const colour of stated.flatMap((text) => coloursIn(text ?? ''))) add(colour, 8)
  const read = new Map<string, Color[]>()
  for (const declaration of declarations) {
    const weight = weightOf(declaration)
    if (weight === 0 || read.size >= MAX_VALUES) continue
    const colours = read.get(declaration.value) ?? coloursIn(declaration.value)
    read.set(declaration.value, colours)
    for (const colour of colours) add(colour, weight * (isUsed(declaration, used) ? 1 : UNUSED))
  }
  const chroma = (colour: Color) => toOklch(colour).c
  const candidates = weighed
    .filter(
      ({ colour, weight }) =>
        weight > 0 &&
        chroma(colour) > GREY &&
        apart(colour, parse(background)!) > SAME &&
        formatHex(colour) !== LINK_BLUE,
    )
    .toSorted((a, b) => b.weight * (LEVELLING + chroma(b.colour)) - a.weight * (LEVELLING + chroma(a.colour)))
    .slice(0, CANDIDATES_MOST)
    .map(({ colour }) => formatHex(colour))
  return {
    background,
    textColour:
      textColour && wcagContrast(textColour, background) >= 4.5
        ? textColour
        : wcagContrast(INK, background) >= 4.5
          ? INK
          : WHITE,
    brand: candidates[0] ?? null,
    candidates,
  }
}

/** The last solid colour that the page itself is given, as in a cascade. */
function ofPage(declarations: Declaration[], properties: string[]): string | null {
  const own = declarations.filter(
    ({ selector, property }) =>
      /^(html|body|:root|html body)$/i.test(selector) && properties.includes(property),
  )
  const solid = own.flatMap(({ value }) => (value.includes('gradient') ? [] : coloursIn(value)))
  const last = solid.at(-1)
  return last ? formatHex(last) : null
}

const colourText =
  /#[0-9a-f]{3,8}\b|\b(?:rgb|hsl|hwb|lab|lch|oklab|oklch|color)a?\([^()]*\)|\b[a-z]{3,20}\b/gi

/** Solid colours named in a CSS value. */
function coloursIn(value: string): Color[] {
  return [...value.replace(/url\([^)]*\)|["'][^"']*["']/g, '').matchAll(colourText)]
    .map(([text]) => colourOf(text))
    .filter((colour): colour is Color => colour !== undefined && (colour.alpha ?? 1) > 0.9)
}

/** The parser throws on some of what it can't read, and answers nothing for the rest. */
function colourOf(text: string): Color | undefined {
  try {
    return parse(text)
  } catch {
    return undefined
  }
}
