import { isAtEdge, isSmall } from './layoutTraits'
import type { Arrangement } from './configuration'
import type { Measure } from './measures'

const NARROWEST = 240
const WIDEST = 1600
/** The ratio of neighbouring widths; too much space is reserved by at most about this share. */
const STEP = 1.07

/** The widths at which a display is measured: close together, and where the number of columns changes. */
export function widthsToMeasure({ marks, columns }: Arrangement): number[] {
  const steps: number[] = []
  for (let width = NARROWEST; width < WIDEST; width *= STEP) steps.push(Math.round(width))
  return [...new Set([...steps, ...marks.slice(0, columns - 1), WIDEST])].toSorted((a, b) => a - b)
}

/**
 * The style element of the embed code, which reserves the display's height for each width of its box. A
 * height is valid up to the next width, because a wider box needs less. A small rating within text has the same size
 * at every width.
 */
export function reserveStyle(key: string, { kind }: Arrangement, measures: Measure[]): string {
  const box = `[data-elogio="${key}"]`
  // The link stands out of the flow, since a mark at the edge takes no space.
  if (isAtEdge(kind)) return `<style>${box}>a{position:absolute}${withoutScripts(box)}</style>`
  const [first] = measures
  if (first && isSmall(kind)) {
    const size = `width:${Math.ceil(first.width)}px;height:${Math.ceil(first.height)}px`
    return `<style>${box}{display:inline-block;line-height:1.5}${box}>a{display:inline-flex;${size};overflow:clip;white-space:nowrap}${withoutScripts(box)}</style>`
  }
  const rules = measures
    .toSorted((a, b) => a.width - b.width)
    .map(({ width, height }) => ({ width, height: Math.ceil(height) }))
    .filter(({ height }, i, all) => i === 0 || height !== all[i - 1]!.height)
    .map(({ width, height }, i) =>
      i === 0
        ? `${box}>a{display:block;min-height:${height}px}`
        : `@container(min-width:${width}px){${box}>a{min-height:${height}px}}`,
    )
  return `<style>${box}{container-type:inline-size}${rules.join('')}${withoutScripts(box)}</style>`
}

/** Without scripts the link stays alone: it has its own size and place. */
const withoutScripts = (box: string) =>
  `@media(scripting:none){${box}>a{position:static;width:auto;height:auto;min-height:0}}`

/** Smaller differences of heights are ignored, in CSS pixels. */
const SLACK = 12

/** Whether the reserved heights no longer fit the display. */
export function isOutOfDate(copied: Measure[], now: Measure[]): boolean {
  const at = new Map(copied.map(({ width, height }) => [width, height]))
  return now.some(({ width, height }) => Math.abs((at.get(width) ?? height) - height) > SLACK)
}
