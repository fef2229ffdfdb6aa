import type { BandChanges } from './bandSchema'
import type { TextPart } from './choices'
import type { Configuration } from './configuration'
import { layoutTraits } from './layoutTraits'
import { sortedStyle } from './lookChanges'
import { switchedParts, type SwitchedPart } from './reviewParts'
import type { TextStyle, Theme } from './themeSchema'

/** Widths of the box, in CSS pixels, that can differ from all others. */
export const bandWidths = {
  phone: { from: 0, upTo: 480 },
  tablet: { from: 481, upTo: 800 },
} as const
export type Band = keyof typeof bandWidths
export const bands = Object.keys(bandWidths) as Band[]

export const bandAt = (width: number): Band | null =>
  bands.find((band) => width >= bandWidths[band].from && width <= bandWidths[band].upTo) ?? null

const nothing: BandChanges = { texts: {}, hidden: [] }

/** Whether a width can show more reviews than others: pages have one size, and rows of a table are not counted. */
const canShowMore = ({ layout }: Configuration) =>
  layoutTraits[layout.kind].shows === 'reviews' &&
  (layout.paging === 'none' || !layoutTraits[layout.kind].paged)

/** The number of reviews that are sent: as many as are shown at the width with the most. */
export function sentLimit(configuration: Configuration): number {
  const limits = canShowMore(configuration) ? bands.map((band) => configuration.bands[band]?.limit ?? 0) : []
  return Math.max(configuration.selection.limit, ...limits)
}

/** A configuration as it is in a band. */
export function inBand(configuration: Configuration, band: Band | null): Configuration {
  const changes = band && configuration.bands[band]
  if (!changes) return configuration
  const { columns, limit, density, frame, card, texts, hidden } = changes
  const { layout, selection, theme, parts } = configuration
  return {
    ...configuration,
    layout: { ...layout, columns: columns ?? layout.columns },
    selection: { ...selection, limit: limit ?? selection.limit },
    theme: {
      ...theme,
      density: density ?? theme.density,
      frame: frame ?? theme.frame,
      card: card ?? theme.card,
      texts: { ...theme.texts, ...texts },
    },
    parts: { ...parts, ...Object.fromEntries(hidden.map((part) => [part, false])) },
  }
}

/**
 * A change made while a band was shown, stored for that band alone. What cannot differ by width changes everywhere;
 * a part that is hidden everywhere can't be shown in one band.
 * @param changed the configuration as it should be in the band
 */
export function changeInBand(before: Configuration, changed: Configuration, band: Band): Configuration {
  const { layout, selection, theme, parts } = before
  const differing = <T>(value: T, elsewhere: T): T | undefined =>
    JSON.stringify(value) === JSON.stringify(elsewhere) ? undefined : value
  const mayDiffer = canShowMore(before) || changed.selection.limit < selection.limit
  const changes: BandChanges = {
    columns: differing(changed.layout.columns, layout.columns),
    limit: mayDiffer ? differing(changed.selection.limit, selection.limit) : undefined,
    density: differing(changed.theme.density, theme.density),
    frame: differing(changed.theme.frame, theme.frame),
    card: differing(changed.theme.card, theme.card),
    texts: differingTexts(changed.theme.texts, theme.texts),
    hidden: switchedParts.filter((part) => parts[part] && !changed.parts[part]),
  }
  return {
    ...changed,
    layout: { ...changed.layout, columns: layout.columns },
    selection: { ...changed.selection, limit: mayDiffer ? selection.limit : changed.selection.limit },
    theme: {
      ...changed.theme,
      density: theme.density,
      frame: theme.frame,
      card: theme.card,
      texts: theme.texts,
    },
    parts: {
      ...changed.parts,
      ...Object.fromEntries(switchedParts.map((part) => [part, parts[part] || changed.parts[part]])),
    },
    bands: withBand(before.bands, band, changes),
  }
}

function differingTexts(texts: Theme['texts'], elsewhere: Theme['texts']): Theme['texts'] {
  const parts = (Object.keys(texts) as TextPart[]).filter(
    (part) => JSON.stringify(sortedStyle(texts[part])) !== JSON.stringify(sortedStyle(elsewhere[part])),
  )
  return Object.fromEntries(parts.map((part) => [part, texts[part]])) as Record<TextPart, TextStyle>
}

/** One thing that differs in a band. */
export type BandDifference =
  | { kind: 'columns' | 'limit' | 'density' | 'frame' | 'card' }
  | { kind: 'text'; part: TextPart }
  | { kind: 'hidden'; part: SwitchedPart }

export function differencesIn(changes: BandChanges | undefined): BandDifference[] {
  if (!changes) return []
  const single = (['columns', 'limit', 'density', 'frame', 'card'] as const).filter(
    (kind) => changes[kind] !== undefined,
  )
  return [
    ...single.map((kind) => ({ kind })),
    ...(Object.keys(changes.texts) as TextPart[]).map((part) => ({ kind: 'text' as const, part })),
    ...changes.hidden.map((part) => ({ kind: 'hidden' as const, part })),
  ]
}

/** A configuration without one of the differences of a band. */
export function withoutDifference(
  configuration: Configuration,
  band: Band,
  difference: BandDifference,
): Configuration {
  const changes = configuration.bands[band] ?? nothing
  const rest =
    difference.kind === 'text'
      ? { ...changes, texts: omit(changes.texts, difference.part) }
      : difference.kind === 'hidden'
        ? { ...changes, hidden: changes.hidden.filter((part) => part !== difference.part) }
        : { ...changes, [difference.kind]: undefined }
  return { ...configuration, bands: withBand(configuration.bands, band, rest) }
}

function omit(texts: Theme['texts'], part: TextPart): Theme['texts'] {
  const { [part]: _, ...others } = texts
  return others
}

function withBand(all: Configuration['bands'], band: Band, changes: BandChanges): Configuration['bands'] {
  const { [band]: _, ...others } = all
  return differencesIn(changes).length > 0 ? { ...others, [band]: changes } : others
}
