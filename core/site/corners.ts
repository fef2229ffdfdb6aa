import { isUsed, type Declaration } from './css'

const ROOT_FONT_PX = 16
const ROUNDEST = 32
/** The default of browsers and of most sites. */
const USUAL = 6

const button = /\b(btn|button|cta|submit)\b/i
const card = /\b(card|panel|box|tile|input)\b/i

/** The radius of a page's buttons, otherwise of its cards, in CSS pixels from 0 to 32 (also for pills). */
export function cornersOf(declarations: Declaration[], used: ReadonlySet<string>): number {
  const radii = (selector: RegExp) =>
    declarations
      .filter((one) => one.property === 'border-radius' && selector.test(one.selector) && isUsed(one, used))
      .flatMap(({ value }) => pixels(value) ?? [])
  return radii(button).at(-1) ?? radii(card).at(-1) ?? USUAL
}

function pixels(value: string): number | null {
  const found = /^\s*([\d.]+)(px|rem|em|%)?/.exec(value)
  if (!found) return null
  const size = Number(found[1])
  if (found[2] === '%') return size >= 40 ? ROUNDEST : null
  if (!found[2] && size !== 0) return null
  return Math.round(Math.min(ROUNDEST, found[2] === 'px' || !found[2] ? size : size * ROOT_FONT_PX))
}
