import { showsReviews } from './choices'
import type { Arrangement } from './configuration'
import type { Measure } from './measures'

const NARROWEST = 240
const WIDEST = 1600
/** From one width to the next; what is reserved is too much by about this share at most. */
const STEP = 1.07

/** The widths at which a display is measured: close enough that little is reserved in vain, and where columns change. */
export function widthsToMeasure({ marks, columns }: Arrangement): number[] {
  const steps: number[] = []
  for (let width = NARROWEST; width < WIDEST; width *= STEP) steps.push(Math.round(width))
  return [...new Set([...steps, ...marks.slice(0, columns - 1), WIDEST])].toSorted((a, b) => a - b)
}

/** Whether a layout has a height of its own that is worth reserving; a line within a text has not. */
export const isReserved = ({ kind }: Arrangement): boolean => showsReviews(kind) || kind === 'aggregate'

/**
 * The style element of the copied code: it keeps the place of a display, by the width of its box, until it is there.
 * Each height holds from its width on to the next, since a wider box needs less.
 */
export function reserveStyle(key: string, measures: Measure[]): string {
  const box = `[data-elogio="${key}"]`
  const rules = measures
    .toSorted((a, b) => a.width - b.width)
    .map(({ width, height }) => ({ width, height: Math.ceil(height) }))
    .filter(({ height }, i, all) => i === 0 || height !== all[i - 1]!.height)
    .map(({ width, height }, i) =>
      i === 0
        ? `${box}>a{display:block;min-height:${height}px}`
        : `@container(min-width:${width}px){${box}>a{min-height:${height}px}}`,
    )
  return `<style>${box}{container-type:inline-size}${rules.join('')}</style>`
}

/** Heights that differ by less than this are the same, in CSS pixels. */
const SLACK = 12

/** Whether what was reserved when the code was copied no longer fits what the display has become. */
export function isOutOfDate(copied: Measure[], now: Measure[]): boolean {
  const at = new Map(copied.map(({ width, height }) => [width, height]))
  return now.some(({ width, height }) => Math.abs((at.get(width) ?? height) - height) > SLACK)
}
