import { changedParts } from '../../display/changedParts'
import type { Configuration } from '../../display/configuration'
import type { SentencePart } from '../../display/sentenceParts'
import type { Setting } from '../../display/settings'
import { say } from '../say/show'
import { partTexts, type ProductNames } from './sentence'
import { settingTexts } from './settingTexts'

export interface Change {
  part: SentencePart | Setting
  name: string
  /** Empty if it was not set, or if it can't be said. */
  before: string
  after: string
}

/** The differences between the published version and the draft, part by part. */
export function changesBetween(
  live: Configuration,
  draft: Configuration,
  names: ProductNames = {},
): Change[] {
  const changed = changedParts(live, draft)
  if (changed.length === 0) return []
  const before = { ...partTexts(live, names), ...settingTexts(live) }
  const after = { ...partTexts(draft, names), ...settingTexts(draft) }
  return changed.map((part) => {
    const name = say(`display.part.${part}`)
    // Not every value has words.
    if (before[part] === after[part]) return { part, name, before: '', after: say('display.otherwise') }
    return { part, name, before: before[part], after: after[part] || say('display.unset') }
  })
}
