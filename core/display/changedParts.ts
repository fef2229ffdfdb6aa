import type { Configuration } from './configuration'
import { sentenceParts, type SentencePart } from './sentenceParts'
import { settings, settingValues, type Setting } from './settings'

/** The parts that differ between two configurations: first those of the sentence, then the other settings. */
export function changedParts(before: Configuration, after: Configuration): (SentencePart | Setting)[] {
  const [old, current] = [valuesOf(before), valuesOf(after)]
  return [...sentenceParts, ...settings].filter(
    (part) => JSON.stringify(old[part]) !== JSON.stringify(current[part]),
  )
}

/** The value of each part, for comparing two configurations. */
function valuesOf(configuration: Configuration): Record<SentencePart | Setting, unknown> {
  const { selection, layout, theme, placement, title } = configuration
  return {
    ...selection,
    ...settingValues(configuration),
    sources: [selection.sources, selection.listings, selection.forms],
    written: [selection.writtenFrom, selection.writtenUntil],
    layout: layout.kind,
    theme: [theme.look, theme.background === 'colour' ? theme.colour : theme.background],
    placement: placement.place,
    title: title.trim(),
  }
}
