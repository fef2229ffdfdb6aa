import { brandShades, type BrandShades } from '../display/brand'
import type { FormDesign } from './design'

/** The colours of a sheet, and its corners in CSS pixels. */
export type SheetLook = BrandShades & { corners: number }

/** A form without colours of its own has those of the shop. */
export function sheetLook(
  { colour, background, corners }: Pick<FormDesign, 'colour' | 'background' | 'corners'>,
  brand: string,
): SheetLook {
  const shades = brandShades(colour || brand)
  return { ...shades, background: background || shades.background, corners }
}
