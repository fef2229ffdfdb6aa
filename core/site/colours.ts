import { converter, differenceEuclidean, formatHex, parse, wcagContrast, type Color } from 'culori'
import { isUsed, type Declaration } from './css'

/** The colours of a page, as hex. */
export interface SiteColours {
  /** Of the page. */
  background: string
  textColour: string
  /** The most likely brand colour; null if the page has only greys. */
  brand: string | null
  /** Other prominent colours, most likely first, beginning with the brand colour. */
  candidates: string[]
}

const toOklch = converter('oklch')
const toOklab = converter('oklab')
const apart = differenceEuclidean('oklab')

/** OKLCH chroma under which a colour is a grey. */
const GREY = 0.04
/** The OKLab distance below which two colours count as equal. */
const SAME = 0.045
/** Limits the weight of a vivid colour used once against a calm one used everywhere. */
const LEVELLING = 0.3
/** The default colour of links in browsers. */
const LINK_BLUE = '#0000ee'
/** The weight of a rule that matches nothing on the page. */
const UNUSED = 0.1
/** The most colours that are distinguished. */
const MAX_COLOURS = 400
/** The most different values that are parsed. */
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

/** The weight of a declaration for its colour being the brand colour. */
function weightOf({ selector, property }: Declaration): number {
  if (about.warning.test(selector) || about.warning.test(property)) return 0
  if (property.startsWith('--')) return about.brandName.test(property) ? 8 : 1
  if (property.startsWith('background')) return about.prominent.test(selector) ? 8 : 2
  if (property === 'color') return about.link.test(selector) ? 4 : 0.5
  return /^(border|fill|outline|text-decoration)/.test(property) ? 0.5 : 0
}

/**
 * The background, text colour and brand colour of a page, from its style sheets and theme colours. A colour
 * scores by where it is used, times its chroma; greys are excluded.
 * @param used the classes on the page: unused rules of a framework hardly count
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

/** The last solid colour of the page itself, as in the cascade. */
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

/** Solid colours in a CSS value. */
function coloursIn(value: string): Color[] {
  return [...value.replace(/url\([^)]*\)|["'][^"']*["']/g, '').matchAll(colourText)]
    .map(([text]) => colourOf(text))
    .filter((colour): colour is Color => colour !== undefined && (colour.alpha ?? 1) > 0.9)
}

/** The parser throws for some invalid values and returns nothing for others. */
function colourOf(text: string): Color | undefined {
  try {
    return parse(text)
  } catch {
    return undefined
  }
}
