import type { ReactNode } from 'react'
import { say } from '../../../core/messages/say/forms'

/** The line above the customers' pages of a form that a member tries. */
export function TrialLine({ children }: { children: ReactNode }) {
  return (
    <aside
      aria-label={say('forms.part.try')}
      className="flex flex-wrap items-center gap-x-3 border-b border-line bg-paper px-6 py-2 text-[15px]"
    >
      {children}
    </aside>
  )
}
