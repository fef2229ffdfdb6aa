/** Ratings are kept as given (value and scale) and, for comparing, in hundredths of five: 100 to 500. */

/**
 * A rating in hundredths of five: given divided by scale, times 500, never under 100.
 * @throws RangeError when the value is not between 0 and its scale.
 */
export function hundredthsOfFive(value: number, scale: number): number {
  if (!(scale > 0) || !(value >= 0) || value > scale)
    throw new RangeError(`rating ${value} is not on a scale of ${scale}`)
  return Math.max(100, Math.round((value / scale) * 500))
}

const oneDecimals = new Map<string, Intl.NumberFormat>()

/** A rating or average in hundredths, written with one decimal ("4.6"), in the locale's manner. */
export function oneDecimal(hundredths: number, locale: string): string {
  const format =
    oneDecimals.get(locale) ??
    new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 })
  oneDecimals.set(locale, format)
  return format.format(hundredths / 100)
}

/** How many of five marks are lit for a rating in hundredths: the nearest whole one, at least one. */
export function litMarks(hundredths: number): number {
  return Math.min(5, Math.max(1, Math.round(hundredths / 100)))
}
