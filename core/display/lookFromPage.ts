import { ROUNDEST, textWeights, THICKEST_LINE } from './choices'
import { startingTheme } from './startingTheme'
import type { Theme } from './themeSchema'

/** What a page looks like where it matters for a display, as a browser computes it. Lengths are CSS pixels. */
export interface PageStyle {
  /** Size of plain text. */
  textSize: number
  heading: { size: number; weight: number; isCapitals: boolean; isItalic: boolean } | null
  /** `isFilled` if it has a background of its own. */
  button: { isFilled: boolean; hasBorder: boolean; corners: number } | null
  /** A surface that the page repeats, such as a product's; which sides have a line. */
  card: {
    sides: { top: boolean; bottom: boolean; start: boolean; end: boolean }
    lineWidth: number
    corners: number
    hasShadow: boolean
    isFilled: boolean
    padding: number
  } | null
}

/** The size of a display's title beside plain text, before any style. */
const TITLE_SIZE = 1.5
/** Larger headings are for whole pages. */
const MAX_TITLE_PERCENT = 160
const MIN_TITLE_PERCENT = 70

const nearestWeight = (weight: number) =>
  [...textWeights].toSorted((a, b) => Math.abs(a - weight) - Math.abs(b - weight))[0]!

/** The look of a page: its headings, buttons and cards, where it has any. Fonts and colours are inherited anyway. */
export function lookFromPage({ textSize, heading, button, card }: PageStyle): Theme {
  const theme: Theme = { ...startingTheme, card: { ...startingTheme.card } }
  if (heading) {
    const percent = Math.round((100 * heading.size) / textSize / TITLE_SIZE / 5) * 5
    theme.texts = {
      title: {
        size: Math.min(MAX_TITLE_PERCENT, Math.max(MIN_TITLE_PERCENT, percent)),
        weight: nearestWeight(heading.weight),
        ...(heading.isCapitals && { capitals: true }),
        ...(heading.isItalic && { italic: true }),
      },
      headline: { weight: nearestWeight(heading.weight) },
    }
  }
  if (button)
    theme.buttons = {
      form: button.isFilled ? 'filled' : button.hasBorder ? 'outline' : 'text',
      corners: Math.min(ROUNDEST, Math.round(button.corners)),
    }
  if (card) {
    const { top, bottom, start, end } = card.sides
    theme.frame =
      top && bottom && start && end ? 'box' : top ? 'rule' : bottom ? 'below' : start ? 'side' : 'none'
    theme.card = {
      ...theme.card,
      lineWidth:
        theme.frame === 'none' ? null : Math.min(THICKEST_LINE, Math.max(1, Math.round(card.lineWidth))),
      corners: Math.min(ROUNDEST, Math.round(card.corners)),
      shadow: card.hasShadow ? 'soft' : 'none',
      fill: card.isFilled ? 'tint' : 'none',
      padding: card.padding > 0 ? Math.min(48, Math.round(card.padding)) : null,
    }
  }
  return theme
}
