import { parse as parseColour, wcagContrast } from 'culori'
import { generate, walk, type CssNode } from 'css-tree'
import { GRAPHIC_RATIO, type ResolvedTheme, type SiteStyle } from './theme'

/** The colours of a display without its own CSS. */
export interface Painted {
  /** What its texts stand on. */
  backgrounds: string[]
  /** The colours that texts take over from what they are in. */
  texts: string[]
  /** The colours that single texts have, whatever they are in. */
  fixed: string[]
}

export function paintedBy(
  {
    backgroundColour,
    text,
    card,
    texts,
  }: Pick<ResolvedTheme, 'backgroundColour' | 'text' | 'card' | 'texts'>,
  site: SiteStyle,
): Painted {
  return {
    backgrounds: [backgroundColour ?? site.background, ...(card.own ? [card.own.background] : [])],
    texts: [text ?? site.textColour, ...(card.own ? [card.own.text] : [])],
    fixed: Object.values(texts).flatMap((style) => style?.colour || []),
  }
}

/** What one rule sets: its text colours and its background colours. */
export interface RulePaint {
  texts: string[]
  backgrounds: string[]
}

/** The colours in a value; those that are computed or see-through count as none. */
export function coloursIn(value: CssNode): string[] {
  const found: string[] = []
  let within = 0
  walk(value, {
    enter(node: CssNode) {
      if (within === 0 && (node.type === 'Hash' || node.type === 'Identifier' || node.type === 'Function')) {
        const text = generate(node)
        const colour = parseColour(text)
        if (colour && (colour.alpha ?? 1) > 0) found.push(text)
      }
      if (node.type === 'Function' && parseColour(generate(node))) within++
    },
    leave(node: CssNode) {
      if (node.type === 'Function' && parseColour(generate(node))) within--
    },
  })
  return found
}

const isLegible = (text: string, background: string) => wcagContrast(text, background) >= GRAPHIC_RATIO

/**
 * Whether a rule could paint a text in the colour of what is behind it, alone or together with the other rules: a text
 * without a background of its own can stand on each background, and a background can be behind each text.
 */
export function hidesText({ texts, backgrounds }: RulePaint, painted: Painted, others: RulePaint[]): boolean {
  const behind =
    backgrounds.length > 0
      ? backgrounds
      : [...painted.backgrounds, ...others.flatMap((one) => one.backgrounds)]
  if (texts.some((text) => behind.some((background) => !isLegible(text, background)))) return true
  const before = [
    ...painted.fixed,
    ...(texts.length > 0 ? [] : painted.texts),
    ...others.filter((one) => one.backgrounds.length === 0).flatMap((one) => one.texts),
  ]
  return backgrounds.some((background) => before.some((text) => !isLegible(text, background)))
}
