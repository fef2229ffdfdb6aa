import { clampChroma, converter, formatHex, parse, wcagContrast, type Oklch } from 'culori'
import type { Theme } from './configuration'

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
  const accentOn = (on: string) => theme.accent || legibleOn(site.brand, on, GRAPHIC_RATIO + 0.4)
  const pageIsDark = isDark(site.background)
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
    corners: theme.corners ?? site.corners,
    density: theme.density / 100,
    inside: theme.inside,
    around: theme.around,
  }
}

/** Two colours with too little contrast, and a replacement. */
export interface ContrastFault {
  what: 'text' | 'accent'
  ratio: number
  needed: number
  legible: string
}

export function contrastFaults(theme: Theme, site: SiteStyle): ContrastFault[] {
  const { backgroundColour, text, accent } = resolveTheme(theme, site)
  const background = backgroundColour ?? site.background
  const pairs = [
    { what: 'text' as const, colour: text ?? site.textColour, needed: TEXT_RATIO },
    {
      what: 'accent' as const,
      colour: isDark(background) ? accent.dark : accent.light,
      needed: GRAPHIC_RATIO,
    },
  ]
  return pairs
    .map(({ what, colour, needed }) => ({
      what,
      needed,
      ratio: wcagContrast(colour, background),
      legible: legibleOn(colour, background, needed),
    }))
    .filter(({ ratio, needed }) => ratio < needed)
}
