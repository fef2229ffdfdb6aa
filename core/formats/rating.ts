/** Ratings are stored as given (value and scale) and in hundredths of five (100 to 500) for comparing. */

/**
 * A rating in hundredths of five: value divided by scale, times 500, at least 100.
 * @throws RangeError if the value is not between 0 and its scale
 */
export function hundredthsOfFive(value: number, scale: number): number {
  if (!(scale > 0) || !(value >= 0) || value > scale)
    throw new RangeError(`rating ${value} is not on a scale of ${scale}`)
  return Math.max(100, Math.round((value / scale) * 500))
}

const oneDecimals = new Map<string, Intl.NumberFormat>()

/** A rating in hundredths with one decimal ("4.6"), as the locale writes it. */
export function oneDecimal(hundredths: number, locale: string): string {
  const format =
    oneDecimals.get(locale) ??
    new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 })
  oneDecimals.set(locale, format)
  return format.format(hundredths / 100)
}

/** The number of filled marks, 1 to 5, for a rating in hundredths. */
export function litMarks(hundredths: number): number {
  return Math.min(5, Math.max(1, Math.round(hundredths / 100)))
}
