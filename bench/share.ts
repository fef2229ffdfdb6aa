/**
 * A share with its 95 % interval (Wilson, "Probable inference, the law of succession, and statistical inference",
 * 1927).
 */
export function interval(hits: number, of: number): string {
  if (of === 0) return 'none'
  const z = 1.96
  const share = hits / of
  const middle = (share + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of)
  const percent = (value: number) => Math.round(100 * Math.min(1, Math.max(0, value)))
  return `${hits} of ${of}, ${percent(share)} % (${percent(middle - half)} to ${percent(middle + half)})`
}
