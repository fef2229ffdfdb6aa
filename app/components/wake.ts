import pack from '../../onsite/behaviour/pack'
import slide from '../../onsite/behaviour/slide'
import type { Behaviour } from '../../onsite/render'

const behaviours: Partial<Record<Behaviour, (root: ParentNode) => () => void>> = { pack, slide }

/** Lets a layout do what it does on a visitor's page. Answers what ends it. */
export function wake(root: ParentNode, behaviour: Behaviour | null): (() => void) | undefined {
  return behaviour ? behaviours[behaviour]?.(root) : undefined
}
