export const themes = ['system', 'day', 'night'] as const
export type Theme = (typeof themes)[number]

const COOKIE = 'elogio_theme'
const A_YEAR_S = 31_536_000
const names: Record<Theme, string | undefined> = { system: undefined, day: 'elogio', night: 'elogio-night' }

/** The theme in the cookies. */
export function themeIn(cookies: string | null): Theme {
  const found = new RegExp(`(?:^|;\\s*)${COOKIE}=(\\w+)`).exec(cookies ?? '')?.[1]
  return themes.find((theme) => theme === found) ?? 'system'
}

/** Without a choice the theme follows the system. */
export const themeName = (theme: Theme): string | undefined => names[theme]

/** Applies a theme and saves it in this browser. */
export function wearTheme(theme: Theme): void {
  document.cookie = `${COOKIE}=${theme}; path=/; max-age=${A_YEAR_S}; samesite=lax`
  const name = themeName(theme)
  if (name) document.documentElement.dataset.theme = name
  else delete document.documentElement.dataset.theme
}
