import { converter, formatHex, parse, wcagContrast, type Oklch } from 'culori'

/** Shades of the brand colour for pages of the shop, as hex. */
export interface BrandShades {
  fill: string
  /** Borders on white, 3:1 or better. */
  edge: string
  /** Buttons that carry white text, 4.5:1 or better. */
  button: string
  /** A background for dark text. */
  background: string
  /** Text on `fill`, 4.5:1 or better. */
  onFill: string
}

const toOklch = converter('oklch')
const INK = '#1b1a17'

function darkened(colour: Oklch, ratio: number): string {
  let shade: Oklch = colour
  while (wcagContrast(formatHex(shade), '#ffffff') < ratio && shade.l > 0)
    shade = { ...shade, l: shade.l - 0.01 }
  return formatHex(shade)
}

/**
 * The shades of a brand colour, darkened along the lightness of OKLCH until their WCAG 2 contrast is enough.
 * @throws RangeError if it is no CSS colour
 */
export function brandShades(brand: string): BrandShades {
  const parsed = parse(brand)
  if (!parsed) throw new RangeError(`${brand} is not a colour`)
  const colour = toOklch(parsed)
  return {
    fill: formatHex(colour),
    edge: darkened(colour, 3.2),
    button: darkened(colour, 7),
    background: formatHex({ ...colour, l: 0.976, c: Math.min(colour.c, 0.018) }),
    onFill: wcagContrast(INK, formatHex(colour)) >= 4.5 ? INK : '#ffffff',
  }
}
