type Colour = [red: number, green: number, blue: number]

/** Relative luminance (WCAG 2.2) of a computed colour; null if it is transparent. */
function luminance(colour: string): number | null {
  const [red, green, blue, alpha = 1] = (colour.match(/[\d.]+/g) ?? []).map(Number)
  if (blue === undefined || alpha < 0.5 || !colour.startsWith('rgb')) return null
  const [r, g, b] = ([red, green, blue] as Colour).map((part) => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as Colour
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

/** White and black have the same contrast with this luminance. */
const MIDDLE = 0.179

export interface PageBackground {
  dark: boolean
  /** Whether the page's text colour has too little contrast. */
  unreadable: boolean
}

/** Uses the colour behind the box, otherwise the colour of the text. */
export function backgroundAround(box: Element, theme: string | undefined): PageBackground {
  const words = luminance(getComputedStyle(box.parentElement ?? box).color) ?? 0
  let painted: number | null = null
  for (let at: Element | null = box; at && painted === null; at = at.parentElement)
    painted = luminance(getComputedStyle(at).backgroundColor)
  const background =
    theme === 'dark' ? 0.01 : theme === 'light' ? 1 : (painted ?? (words > MIDDLE ? 0.01 : 1))
  const contrast = (Math.max(words, background) + 0.05) / (Math.min(words, background) + 0.05)
  return { dark: background < MIDDLE, unreadable: contrast < 3 }
}

// Runs before the first paint, because browsers do not update mixed colours when the text colour changes later.
export function applyColorScheme(display: Element | null, { dark, unreadable }: PageBackground): void {
  if (!display?.classList.contains('eg-on-page')) return
  display.classList.toggle('eg-dark', dark)
  display.classList.toggle('eg-light', !dark)
  display.classList.toggle('eg-unreadable', unreadable)
}
