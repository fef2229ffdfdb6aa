import dates from '../../onsite/behaviour/dates'
import { addToPreview as fonts } from '../../onsite/behaviour/fonts'
import pack from '../../onsite/behaviour/pack'
import notes from '../../onsite/behaviour/notes'
import slide from '../../onsite/behaviour/slide'
import type { Behaviour } from '../../core/display/layoutTraits'

/** In the editor a click on a photo opens its settings instead. */
const behaviours: Partial<Record<Behaviour, (root: ParentNode) => void | (() => void)>> = {
  dates,
  fonts,
  pack,
  notes,
  slide,
}

/** Runs the scripts of a display. Returns a function that stops them. */
export function activate(root: ParentNode, names: Behaviour[]): () => void {
  const ends = names.map((name) => behaviours[name]?.(root))
  return () => ends.forEach((end) => end?.())
}
