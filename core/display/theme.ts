import { clampChroma, converter, formatHex, parse, wcagContrast, type Oklch } from 'culori'
import type { Theme } from './configuration'

/** As read from the shop's site. Colours are hex, corners are CSS pixels. */
export interface SiteStyle {
  ground: string
  ink: string
  brand: string
  corners: number
}

/** Colours are hex. */
export interface ResolvedTheme {
  ground: Theme['ground']
  /** Null is transparent. */
  background: string | null
  /** Null inherits the page's colour. */
  text: string | null
  /** Of ratings and links, on a light and on a dark background. */
  accent: { light: string; dark: string }
  frame: Theme['frame']
  corners: number
  /** Space between reviews; 1 is normal. */
  density: number
  inside: number
  around: number
}

export const PAPER = '#ffffff'
export const INK = '#16211f'
const PAPER_TEXT = '#1b1a17'
const INK_TEXT = '#eef1ec'

/** WCAG 2.2: text (1.4.3) and graphics that mean something (1.4.11). */
export const TEXT_RATIO = 4.5
export const GRAPHIC_RATIO = 3

const toOklch = converter('oklch')
// A darkened yellow looks brown, so its hue moves towards orange.
const YELLOWS = { from: 55, to: 118, towards: 47 }
const STEP = 0.01

/** The nearest shade with a contrast ratio: darker on light backgrounds, lighter on dark ones. */
export function legibleOn(colour: string, ground: string, ratio: number): string {
  if (wcagContrast(colour, ground) >= ratio) return formatHex(parse(colour)!)
  const start: Oklch = { h: 0, ...toOklch(parse(colour)!) }
  const down = wcagContrast(ground, '#000000') > wcagContrast(ground, '#ffffff')
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
    if (wcagContrast(hex, ground) >= ratio) return hex
  }
  return down ? '#000000' : '#ffffff'
}

export const isDark = (ground: string): boolean =>
  wcagContrast(ground, '#ffffff') > wcagContrast(ground, '#000000')

/** The text colour for a background: soft if the contrast allows it, otherwise pure black or white. */
export function textOn(ground: string): string {
  const [soft, pure] = isDark(ground) ? [INK_TEXT, '#ffffff'] : [PAPER_TEXT, '#000000']
  return wcagContrast(soft, ground) >= TEXT_RATIO ? soft : pure
}

/** @param theme from the embed code */
export function resolveTheme(
  dress: Theme,
  site: SiteStyle,
  theme: 'light' | 'dark' | null = null,
): ResolvedTheme {
  const ground =
    theme !== null && (dress.ground === 'paper' || dress.ground === 'ink')
      ? theme === 'dark'
        ? 'ink'
        : 'paper'
      : dress.ground
  const background = { page: null, paper: PAPER, ink: INK, colour: dress.colour || site.brand }[ground]
  const accentOn = (on: string) => dress.accent || legibleOn(site.brand, on, GRAPHIC_RATIO + 0.4)
  const pageIsDark = isDark(site.ground)
  return {
    ground,
    background,
    text: background && ((ground === 'colour' && dress.text) || textOn(background)),
    accent: background
      ? { light: accentOn(background), dark: accentOn(background) }
      : {
          light: accentOn(pageIsDark ? PAPER : site.ground),
          dark: accentOn(pageIsDark ? site.ground : INK),
        },
    frame: dress.frame,
    corners: dress.corners ?? site.corners,
    density: dress.density / 100,
    inside: dress.inside,
    around: dress.around,
  }
}

/** Two colours with too little contrast, and a replacement. */
export interface ContrastFault {
  what: 'text' | 'accent'
  ratio: number
  needed: number
  mended: string
}

export function contrastFaults(dress: Theme, site: SiteStyle): ContrastFault[] {
  const { background, text, accent } = resolveTheme(dress, site)
  const ground = background ?? site.ground
  const pairs = [
    { what: 'text' as const, colour: text ?? site.ink, needed: TEXT_RATIO },
    {
      what: 'accent' as const,
      colour: isDark(ground) ? accent.dark : accent.light,
      needed: GRAPHIC_RATIO,
    },
  ]
  return pairs
    .map(({ what, colour, needed }) => ({
      what,
      needed,
      ratio: wcagContrast(colour, ground),
      mended: legibleOn(colour, ground, needed),
    }))
    .filter(({ ratio, needed }) => ratio < needed)
}
