import { clampChroma, converter, formatHex, parse, wcagContrast, type Oklch } from 'culori'

const toOklch = converter('oklch')
const STEP = 0.005

/**
 * The colour of the same hue that can be read on a background with the least change of its lightness (OKLCH), lighter or
 * darker; chroma is reduced only where a screen cannot show it. Black or white if no lightness is enough.
 * @param ratio the WCAG 2.2 contrast that is needed, 1 to 21
 * @throws RangeError if one is no CSS colour
 */
export function nearestLegible(colour: string, background: string, ratio: number): string {
  const parsed = parse(colour)
  if (!parsed || !parse(background)) throw new RangeError(`${colour} or ${background} is not a colour`)
  const start: Oklch = { h: 0, ...toOklch(parsed) }
  const at = (l: number) => formatHex(clampChroma({ ...start, l }, 'oklch'))
  if (wcagContrast(colour, background) >= ratio) return formatHex(parsed)
  for (let change = STEP; change <= 1; change += STEP)
    for (const l of [start.l - change, start.l + change]) {
      if (l < 0 || l > 1) continue
      const shade = at(l)
      if (wcagContrast(shade, background) >= ratio) return shade
    }
  return wcagContrast('#000000', background) > wcagContrast('#ffffff', background) ? '#000000' : '#ffffff'
}
