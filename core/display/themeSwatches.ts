import type { Theme } from './themeSchema'
import { resolveTheme, DARK_BACKGROUND, isDark, LIGHT_BACKGROUND, textOn, type SiteStyle } from './theme'

const DARK_PAGE = '#101a1d'

/** Colours that the editor shows beside the choices of a theme, as hex. */
export interface ThemeSwatches {
  /** The background that each choice results in. */
  backgrounds: Record<Theme['background'], string>
  /** The current colours of its text and of its ratings. */
  text: string
  accent: string
  /** Plain pages for the preview. */
  pages: Record<'shop' | 'white' | 'dark' | 'colour', { background: string; textColour: string }>
}

export function themeSwatches(theme: Theme, site: SiteStyle): ThemeSwatches {
  const used = resolveTheme({ ...theme, accent: '' }, site)
  const page = (background: string) => ({ background, textColour: textOn(background) })
  return {
    backgrounds: {
      page: site.background,
      light: LIGHT_BACKGROUND,
      dark: DARK_BACKGROUND,
      colour: theme.colour || site.brand,
    },
    text: used.text ?? site.textColour,
    accent: isDark(used.backgroundColour ?? site.background) ? used.accent.dark : used.accent.light,
    pages: {
      shop: { background: site.background, textColour: site.textColour },
      white: page(LIGHT_BACKGROUND),
      dark: page(DARK_PAGE),
      colour: page(site.brand),
    },
  }
}
