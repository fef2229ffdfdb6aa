import type { fonts } from './choices'

export type Font = (typeof fonts)[number]
export type ShippedFont = Exclude<Font, 'page'>

/** A font of the device, adjusted to the metrics of another so that text takes the same space. */
interface Fallback {
  local: string
  adjust: string
  ascent: string
  descent: string
}

/** The fonts that ship with Elogio. The adjustments are computed with @capsizecss/core 4. */
export const shippedFonts: Record<
  ShippedFont,
  { name: string; generic: 'serif' | 'sans-serif' | 'cursive' | 'monospace'; fallbacks: Fallback[] }
> = {
  literata: {
    name: 'Literata',
    generic: 'serif',
    fallbacks: [
      { local: 'Georgia', adjust: '107.6714%', ascent: '109.3141%', descent: '28.6056%' },
      { local: 'Noto Serif', adjust: '99.7921%', ascent: '117.9452%', descent: '30.8642%' },
    ],
  },
  fraunces: {
    name: 'Fraunces',
    generic: 'serif',
    fallbacks: [
      { local: 'Georgia', adjust: '105.2039%', ascent: '92.9623%', descent: '24.2386%' },
      { local: 'Noto Serif', adjust: '97.5052%', ascent: '100.3023%', descent: '26.1525%' },
    ],
  },
  bitter: {
    name: 'Bitter',
    generic: 'serif',
    fallbacks: [
      { local: 'Georgia', adjust: '104.3067%', ascent: '89.6395%', descent: '25.4059%' },
      { local: 'Noto Serif', adjust: '96.6736%', ascent: '96.7172%', descent: '27.4118%' },
    ],
  },
  commissioner: {
    name: 'Commissioner',
    generic: 'sans-serif',
    fallbacks: [
      { local: 'Arial', adjust: '101.0541%', ascent: '100.6392%', descent: '20.3851%' },
      { local: 'Roboto', adjust: '101.276%', ascent: '100.4187%', descent: '20.3405%' },
    ],
  },
  karla: {
    name: 'Karla',
    generic: 'sans-serif',
    fallbacks: [
      { local: 'Arial', adjust: '102.4%', ascent: '89.5508%', descent: '24.6094%' },
      { local: 'Roboto', adjust: '102.6248%', ascent: '89.3546%', descent: '24.5555%' },
    ],
  },
  oswald: {
    name: 'Oswald',
    generic: 'sans-serif',
    fallbacks: [
      { local: 'Arial', adjust: '81.4265%', ascent: '146.5125%', descent: '35.4921%' },
      { local: 'Roboto', adjust: '81.6053%', ascent: '146.1915%', descent: '35.4144%' },
    ],
  },
  caveat: {
    name: 'Caveat',
    generic: 'cursive',
    fallbacks: [
      { local: 'Arial', adjust: '76.9402%', ascent: '124.7722%', descent: '38.9913%' },
      { local: 'Roboto', adjust: '77.1091%', ascent: '124.4989%', descent: '38.9059%' },
    ],
  },
  jetbrains: {
    name: 'JetBrains Mono',
    generic: 'monospace',
    fallbacks: [
      { local: 'Courier New', adjust: '99.9837%', ascent: '102.0166%', descent: '30.0049%' },
      { local: 'Roboto Mono', adjust: '99.9837%', ascent: '102.0166%', descent: '30.0049%' },
    ],
  },
}

export const isShipped = (font: Font | undefined): font is ShippedFont =>
  font !== undefined && font !== 'page'
