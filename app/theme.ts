export const themes = ['system', 'day', 'night'] as const
export type Theme = (typeof themes)[number]

const COOKIE = 'elogio_theme'
const A_YEAR_S = 31_536_000
const names: Record<Theme, string | undefined> = { system: undefined, day: 'elogio', night: 'elogio-night' }

/** The theme that a person chose, from her cookies. */
export function themeIn(cookies: string | null): Theme {
  const found = new RegExp(`(?:^|;\\s*)${COOKIE}=(\\w+)`).exec(cookies ?? '')?.[1]
  return themes.find((theme) => theme === found) ?? 'system'
}

/** The name of a theme in the styles; none follows the system. */
export const themeName = (theme: Theme): string | undefined => names[theme]

/** Wears a theme at once and keeps it for this browser. */
export function wearTheme(theme: Theme): void {
  document.cookie = `${COOKIE}=${theme}; path=/; max-age=${A_YEAR_S}; samesite=lax`
  const name = themeName(theme)
  if (name) document.documentElement.dataset.theme = name
  else delete document.documentElement.dataset.theme
}
