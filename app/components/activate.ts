import pack from '../../onsite/behaviour/pack'
import slide from '../../onsite/behaviour/slide'
import type { Behaviour } from '../../onsite/render'

/** In the editor a click on a photo asks what to do with it, so it does not open. */
const behaviours: Partial<Record<Behaviour, (root: ParentNode) => () => void>> = { pack, slide }

/** Lets a display do what it does on a visitor's page. Answers what ends it. */
export function activate(root: ParentNode, names: Behaviour[]): () => void {
  const ends = names.map((name) => behaviours[name]?.(root))
  return () => ends.forEach((end) => end?.())
}
