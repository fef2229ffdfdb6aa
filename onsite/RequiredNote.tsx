import type { ReactNode } from 'react'
import type { EffectiveCss } from '../core/display/ownCss'
import { noteStyles } from './ownCssStyles'

/**
 * What must be said: how many were picked, how reviews are handled, and how each review came. With own CSS it is in a
 * shadow root of its own, where own CSS does not reach; `behaviour/notes.ts` makes it in other pages.
 */
export function RequiredNote({
  ownCss,
  ownLine = false,
  children,
}: {
  ownCss: EffectiveCss | null
  /** Whether it has a line for itself. */
  ownLine?: boolean
  children: ReactNode
}) {
  if (!ownCss) return children
  return (
    <span>
      <template {...{ shadowrootmode: 'open' }}>
        <style dangerouslySetInnerHTML={{ __html: noteStyles(ownCss.paints, ownLine) }} />
        <p>{children}</p>
      </template>
    </span>
  )
}
