import type { Configuration } from '../../../core/display/configuration'
import type { EditorView } from '../../../server/publishing/showViews'

export interface StripProps {
  draft: Configuration
  view: EditorView
  change: (changed: Configuration) => void
  setOpen: (part: OpenPart | null) => void
  /** The shop's page of the preview; null if the preview is on another background. */
  page?: Document | null
}
import type { OpenPart } from '../Sentence'

/** Changes one group of a configuration. */
export function changing<G extends 'selection' | 'layout' | 'parts' | 'heading' | 'theme' | 'placement'>(
  { draft, change }: Pick<StripProps, 'draft' | 'change'>,
  group: G,
) {
  return (part: Partial<Configuration[G]>) => change({ ...draft, [group]: { ...draft[group], ...part } })
}
