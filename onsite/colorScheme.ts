type Colour = [red: number, green: number, blue: number]

/** Relative luminance of a solid colour as browsers write it out, or null (WCAG 2.2). */
function luminance(colour: string): number | null {
  const [red, green, blue, alpha = 1] = (colour.match(/[\d.]+/g) ?? []).map(Number)
  if (blue === undefined || alpha < 0.5 || !colour.startsWith('rgb')) return null
  const [r, g, b] = ([red, green, blue] as Colour).map((part) => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as Colour
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

/** White and black read equally well on this luminance. */
const MIDDLE = 0.179

/** What a display stands on. */
export interface Ground {
  dark: boolean
  /** Whether the page's own words could not be read there. */
  unreadable: boolean
}

/** Tells a light ground from a dark one, by what is painted behind a box, else by the words that are read there. */
export function groundAround(box: Element, theme: string | undefined): Ground {
  const words = luminance(getComputedStyle(box.parentElement ?? box).color) ?? 0
  let painted: number | null = null
  for (let at: Element | null = box; at && painted === null; at = at.parentElement)
    painted = luminance(getComputedStyle(at).backgroundColor)
  const ground = theme === 'dark' ? 0.01 : theme === 'light' ? 1 : (painted ?? (words > MIDDLE ? 0.01 : 1))
  const contrast = (Math.max(words, ground) + 0.05) / (Math.min(words, ground) + 0.05)
  return { dark: ground < MIDDLE, unreadable: contrast < 3 }
}

/**
 * Lets a display follow the ground it stands on. Done before it is first painted: browsers keep colours mixed from
 * those of the words when the words change later.
 */
export function applyColorScheme(display: Element | null, { dark, unreadable }: Ground): void {
  if (!display?.classList.contains('eg-on-page')) return
  display.classList.toggle('eg-dark', dark)
  display.classList.toggle('eg-light', !dark)
  display.classList.toggle('eg-unreadable', unreadable)
}
