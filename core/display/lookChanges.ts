import type { TextPart } from './choices'
import { isReadyLook, themeOfLook } from './looks'
import { startingTheme } from './startingTheme'
import type { Theme } from './themeSchema'

/** A look that a shop has saved. */
export interface OwnLook {
  publicId: string
  name: string
  theme: Theme
}

/** Parts of a theme that go back to the look together. */
export const themeGroups = ['colours', 'whole', 'cards', 'buttons', 'css'] as const
export type ThemeGroup = (typeof themeGroups)[number]
const keysOfGroup: Record<ThemeGroup, (keyof Theme)[]> = {
  colours: ['background', 'colour', 'text', 'accent'],
  whole: ['font', 'size', 'maxWidth', 'align', 'density', 'corners', 'inside', 'around'],
  cards: ['frame', 'card'],
  buttons: ['buttons', 'controls'],
  css: ['css'],
}

/** The theme of the look that a theme began with. A look that has been removed is like the page. */
export function themeBefore({ look }: Theme, own: OwnLook[]): Theme {
  if (isReadyLook(look)) return themeOfLook(look)
  const found = own.find(({ publicId }) => publicId === look)
  return found ? { ...found.theme, look } : startingTheme
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

export const differsFromLook = (theme: Theme, before: Theme, keys: ThemeGroup): boolean =>
  keysOfGroup[keys].some((key) => !same(theme[key], before[key]))

export const textDiffersFromLook = (theme: Theme, before: Theme, part: TextPart): boolean =>
  !same(sortedStyle(theme.texts[part]), sortedStyle(before.texts[part]))

export const isChangedLook = (theme: Theme, before: Theme): boolean =>
  themeGroups.some((group) => differsFromLook(theme, before, group)) || changedTexts(theme, before).length > 0

/** The texts whose style differs from the look. */
export const changedTexts = (theme: Theme, before: Theme): TextPart[] =>
  [...new Set([...Object.keys(theme.texts), ...Object.keys(before.texts)] as TextPart[])].filter((part) =>
    textDiffersFromLook(theme, before, part),
  )

/** How many groups and texts differ from the look; its background and colour are told by themselves. */
export function countLookChanges(theme: Theme, before: Theme): number {
  const { background, colour } = before
  const told = { ...theme, background, colour }
  return (
    themeGroups.filter((group) => differsFromLook(told, before, group)).length +
    changedTexts(theme, before).length
  )
}

/** One group as in the look again. */
export function groupAsInLook(theme: Theme, before: Theme, group: ThemeGroup): Theme {
  const back = Object.fromEntries(keysOfGroup[group].map((key) => [key, before[key]])) as Partial<Theme>
  return { ...theme, ...back }
}

/** One text as in the look again. */
export function textAsInLook(theme: Theme, before: Theme, part: TextPart): Theme {
  const { [part]: _, ...others } = theme.texts
  const { [part]: style } = before.texts
  return { ...theme, texts: style ? { ...others, [part]: style } : others }
}

/** The set properties of a text's style in one order, for comparing. */
export const sortedStyle = (style: object | undefined): [string, unknown][] =>
  Object.entries(style ?? {})
    .filter(([, value]) => value !== undefined)
    .toSorted(([a], [b]) => a.localeCompare(b))
