import { GRAPHIC_RATIO } from './theme'

/** How one text of a display stands on a page, as a browser lays it out. */
export interface TextReading {
  /** Whether it takes up room and nothing makes it invisible. */
  isVisible: boolean
  /** Whether nothing is painted over it. */
  isInFront: boolean
  /** Whether it is within what it belongs to: its review, or the display. */
  isInPlace: boolean
  /** The size of its font in CSS pixels. */
  size: number
  /** The distance of its lines as a multiple of the size of its font. */
  leading: number
  /** The contrast to what is behind it, from 1 to 21 (WCAG 2.2). */
  contrast: number
}

const paintedFaults = ['invisible', 'covered', 'misplaced', 'small', 'faint'] as const
export type PaintedFault = (typeof paintedFaults)[number]

const SMALLEST_PX = 11
const CLOSEST_LINES = 0.95

/**
 * What own CSS did to a text that must be read; null if it can still be read.
 * @param plain the same text without own CSS: what it lacked before is not the fault of own CSS
 */
export function paintedFault(text: TextReading, plain: TextReading): PaintedFault | null {
  if (!plain.isVisible) return null
  if (!text.isVisible) return 'invisible'
  if (plain.isInFront && !text.isInFront) return 'covered'
  if (plain.isInPlace && !text.isInPlace) return 'misplaced'
  if (text.size < Math.min(SMALLEST_PX, plain.size)) return 'small'
  if (text.leading < Math.min(CLOSEST_LINES, plain.leading)) return 'small'
  return text.contrast < Math.min(GRAPHIC_RATIO, plain.contrast) ? 'faint' : null
}

/**
 * The number of rules, from the first on, after which something is wrong for the first time.
 * @param count all of them, with which it is wrong; without any it is not
 */
export function firstWrong(count: number, isWrong: (rules: number) => boolean): number {
  let [right, wrong] = [0, count]
  while (wrong - right > 1) {
    const middle = Math.floor((right + wrong) / 2)
    if (isWrong(middle)) wrong = middle
    else right = middle
  }
  return wrong
}
