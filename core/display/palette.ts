import { clampChroma, converter, formatHex, parse, type Oklch } from 'culori'

/** Lightness in OKLCH, from the lightest to the darkest step. */
const STEPS = [0.97, 0.93, 0.86, 0.76, 0.66, 0.56, 0.46, 0.36, 0.26]
/** The lightest and darkest steps carry less colour, so that they serve as backgrounds. */
const CHROMA = [0.2, 0.35, 0.6, 0.9, 1, 1, 0.95, 0.8, 0.55]

const toOklch = converter('oklch')

/**
 * Nine steps of one colour, from light to dark, as hex: the same hue at even steps of lightness (OKLCH, Ottosson 2020),
 * with the chroma reduced where a screen cannot show it.
 * @throws RangeError if it is no CSS colour
 */
export function paletteOf(brand: string): string[] {
  const parsed = parse(brand)
  if (!parsed) throw new RangeError(`${brand} is not a colour`)
  const colour: Oklch = { h: 0, ...toOklch(parsed) }
  return STEPS.map((l, i) => formatHex(clampChroma({ ...colour, l, c: colour.c * CHROMA[i]! }, 'oklch')))
}
