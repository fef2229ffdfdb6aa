import { clampChroma, converter, formatHex, parse, wcagContrast, type Oklch } from 'culori'
import type { TextPart } from './choices'
import { nearestLegible } from './nearestLegible'
import { isShipped, type Font, type ShippedFont } from './fonts'
import type { Card, Theme } from './themeSchema'

/** The style of the shop's site. Colours are hex, corners are CSS pixels. */
export interface SiteStyle {
  background: string
  textColour: string
  brand: string
  corners: number
}

export type ColourScheme = 'light' | 'dark'

/** Colours are hex. */
export interface ResolvedTheme {
  background: Theme['background']
  /** Null is transparent. */
  backgroundColour: string | null
  /** Null inherits the page's colour. */
  text: string | null
  /** Of ratings and links, on light and on dark backgrounds. */
  accent: { light: string; dark: string }
  frame: Theme['frame']
  corners: number
  /** Space between reviews; 1 is normal. */
  density: number
  inside: number
  around: number
  font: Font
  size: Theme['size']
  maxWidth: number
  align: Theme['align']
  card: ResolvedCard
  buttons: { form: Theme['buttons']['form']; corners: number }
  controls: Theme['controls']
  texts: Theme['texts']
  /** Without a background of its own: colours of texts on a page that is dark instead of light, or the other way round. */
  textsElsewhere: { scheme: ColourScheme; colours: Partial<Record<TextPart, string>> } | null
}

/** The surface around one review; a colour of its own has a text colour and an accent that can be read on it. */
export interface ResolvedCard extends Omit<Card, 'colour' | 'corners'> {
  own: { background: string; text: string; accent: string } | null
  corners: number
}

export const LIGHT_BACKGROUND = '#ffffff'
export const DARK_BACKGROUND = '#16211f'
const DARK_TEXT = '#1b1a17'
const LIGHT_TEXT = '#eef1ec'

/** WCAG 2.2: text (1.4.3) and meaningful graphics (1.4.11). */
export const TEXT_RATIO = 4.5
export const GRAPHIC_RATIO = 3

const toOklch = converter('oklch')
// A darkened yellow looks brown, so its hue moves towards orange.
const YELLOWS = { from: 55, to: 118, towards: 47 }
const STEP = 0.01

/** The nearest shade with a contrast ratio: darker on light backgrounds, lighter on dark ones. */
export function legibleOn(colour: string, background: string, ratio: number): string {
  if (wcagContrast(colour, background) >= ratio) return formatHex(parse(colour)!)
  const start: Oklch = { h: 0, ...toOklch(parse(colour)!) }
  const down = wcagContrast(background, '#000000') > wcagContrast(background, '#ffffff')
  const hue = start.h!
  const isYellow = down && hue > YELLOWS.from && hue < YELLOWS.to && start.c > 0.05
  for (let l = start.l; l >= 0 && l <= 1; l += down ? -STEP : STEP) {
    const gone = Math.min(1, (start.l - l) / 0.28)
    const shade = clampChroma(
      {
        ...start,
        l,
        h: isYellow ? hue + (YELLOWS.towards - hue) * gone : hue,
        c: isYellow ? Math.max(start.c, 0.15) : start.c,
      },
      'oklch',
    )
    const hex = formatHex(shade)
    if (wcagContrast(hex, background) >= ratio) return hex
  }
  return down ? '#000000' : '#ffffff'
}

export const isDark = (background: string): boolean =>
  wcagContrast(background, '#ffffff') > wcagContrast(background, '#000000')

/** The text colour for a background: soft if the contrast allows it, otherwise pure black or white. */
export function textOn(background: string): string {
  const [soft, pure] = isDark(background) ? [LIGHT_TEXT, '#ffffff'] : [DARK_TEXT, '#000000']
  return wcagContrast(soft, background) >= TEXT_RATIO ? soft : pure
}

/** @param scheme what the embed code asks for */
export function resolveTheme(
  theme: Theme,
  site: SiteStyle,
  scheme: ColourScheme | null = null,
): ResolvedTheme {
  const isSwitchable = theme.background === 'light' || theme.background === 'dark'
  const background = scheme !== null && isSwitchable ? scheme : theme.background
  const backgroundColour = {
    page: null,
    light: LIGHT_BACKGROUND,
    dark: DARK_BACKGROUND,
    colour: theme.colour || site.brand,
  }[background]
  // The owner chose her colours on this background; on any other they are the nearest that can be read.
  const chosenOn =
    scheme === null || background === theme.background ? (backgroundColour ?? site.background) : null
  const asChosen = (colour: string, on: string, needed: number) =>
    on === chosenOn ? colour : nearestLegible(colour, on, needed)
  const accentOn = (on: string) =>
    theme.accent ? asChosen(theme.accent, on, GRAPHIC_RATIO) : legibleOn(site.brand, on, GRAPHIC_RATIO + 0.4)
  const textsOn = (on: string) => textColours(theme, (colour, needed) => asChosen(colour, on, needed))
  const pageIsDark = isDark(site.background)
  const corners = theme.corners ?? site.corners
  const { colour, ...card } = theme.card
  const cardColour = card.fill === 'colour' ? colour || site.brand : null
  return {
    background,
    backgroundColour,
    text: backgroundColour && ((background === 'colour' && theme.text) || textOn(backgroundColour)),
    accent: backgroundColour
      ? { light: accentOn(backgroundColour), dark: accentOn(backgroundColour) }
      : {
          light: accentOn(pageIsDark ? LIGHT_BACKGROUND : site.background),
          dark: accentOn(pageIsDark ? site.background : DARK_BACKGROUND),
        },
    frame: theme.frame,
    corners,
    density: theme.density / 100,
    inside: theme.inside,
    around: theme.around,
    font: theme.font,
    size: theme.size,
    maxWidth: theme.maxWidth,
    align: theme.align,
    card: {
      ...card,
      corners: card.corners ?? corners,
      own:
        cardColour === null
          ? null
          : { background: cardColour, text: textOn(cardColour), accent: accentOn(cardColour) },
    },
    buttons: { ...theme.buttons, corners: theme.buttons.corners ?? corners },
    controls: theme.controls,
    texts: backgroundColour ? withColours(theme.texts, textsOn(backgroundColour)) : theme.texts,
    textsElsewhere: backgroundColour
      ? null
      : {
          scheme: pageIsDark ? 'light' : 'dark',
          colours: textsOn(pageIsDark ? LIGHT_BACKGROUND : DARK_BACKGROUND),
        },
  }
}

/** The texts whose colour another background changes, with that colour. */
function textColours(
  { texts, card }: Theme,
  onIt: (colour: string, needed: number) => string,
): Partial<Record<TextPart, string>> {
  const changed = Object.entries(texts).flatMap(([name, style]) => {
    const part = name as TextPart
    // A card with a colour of its own is the same everywhere.
    if (!style?.colour || (card.fill === 'colour' && !aboveReviews.includes(part))) return []
    const colour = onIt(style.colour, ratioOf(part))
    return colour === style.colour ? [] : [[part, colour]]
  })
  return Object.fromEntries(changed) as Partial<Record<TextPart, string>>
}

const withColours = (texts: Theme['texts'], colours: Partial<Record<TextPart, string>>): Theme['texts'] =>
  Object.fromEntries(
    Object.entries(texts).map(([part, style]) => [
      part,
      { ...style, colour: colours[part as TextPart] ?? style?.colour },
    ]),
  )

/** The contrast that a part needs. */
const ratioOf = (part: TextPart) => (part === 'symbols' ? GRAPHIC_RATIO : TEXT_RATIO)

/** The shipped fonts that a theme uses, each once. */
export function fontsOf({ font, texts }: Pick<ResolvedTheme, 'font' | 'texts'>): ShippedFont[] {
  return [...new Set([font, ...Object.values(texts).map((text) => text?.font)])].filter(isShipped)
}

/** Two colours with too little contrast, and a replacement. */
export interface ContrastFault {
  what: 'text' | 'accent' | TextPart
  ratio: number
  needed: number
  legible: string
}

/** Texts that stand on the background of the whole, not on a review's. */
const aboveReviews: TextPart[] = ['title', 'line', 'average', 'links']

export function contrastFaults(theme: Theme, site: SiteStyle): ContrastFault[] {
  const { backgroundColour, text, accent, texts, card } = resolveTheme(theme, site)
  const background = backgroundColour ?? site.background
  const { own } = card
  const pairs: { what: ContrastFault['what']; colour: string; on: string; needed: number }[] = [
    { what: 'text' as const, colour: text ?? site.textColour, on: background, needed: TEXT_RATIO },
    {
      what: 'accent' as const,
      colour: isDark(background) ? accent.dark : accent.light,
      on: background,
      needed: GRAPHIC_RATIO,
    },
    ...Object.entries(texts).flatMap(([name, style]) => {
      const part = name as TextPart
      const on = own && !aboveReviews.includes(part) ? own.background : background
      return style?.colour ? [{ what: part, colour: style.colour, on, needed: ratioOf(part) }] : []
    }),
  ]
  return pairs
    .map(({ what, colour, on, needed }) => ({
      what,
      needed,
      ratio: wcagContrast(colour, on),
      legible:
        what === 'text' || what === 'accent'
          ? legibleOn(colour, on, needed)
          : nearestLegible(colour, on, needed),
    }))
    .filter(({ ratio, needed }) => ratio < needed)
}
