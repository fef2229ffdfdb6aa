import type { Theme } from './configuration'
import { resolveTheme, INK, isDark, PAPER, textOn, type SiteStyle } from './theme'

const DARK_PAGE = '#101a1d'

/** Colours that the screen shows beside the choices of a dress, as hex. */
export interface DressColours {
  /** What a display would stand on, by ground. */
  standing: Record<Theme['ground'], string>
  /** Of its words, and of its ratings, as it is styled now. */
  text: string
  accent: string
  /** Plain pages to see it on: what is behind, and what is written in. */
  pages: Record<'shop' | 'white' | 'dark' | 'colour', { ground: string; ink: string }>
}

export function dressColours(dress: Theme, site: SiteStyle): DressColours {
  const worn = resolveTheme({ ...dress, accent: '' }, site)
  const page = (ground: string) => ({ ground, ink: textOn(ground) })
  return {
    standing: { page: site.ground, paper: PAPER, ink: INK, colour: dress.colour || site.brand },
    text: worn.text ?? site.ink,
    accent: isDark(worn.background ?? site.ground) ? worn.accent.dark : worn.accent.light,
    pages: {
      shop: { ground: site.ground, ink: site.ink },
      white: page(PAPER),
      dark: page(DARK_PAGE),
      colour: page(site.brand),
    },
  }
}
