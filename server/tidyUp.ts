import { forgetOldAddresses } from './collection/forgetAddresses'
import { sweepMedia } from './media/sweepMedia'
import type { Services } from './services'

const EVERY_MS = 3_600_000

const chores: [what: string, chore: (services: Services) => Promise<unknown>][] = [
  ['old network addresses could not be forgotten', forgetOldAddresses],
  ['unused files could not be swept', sweepMedia],
]

/** Does now and every hour what nobody waits for; answers how to stop that. */
export function tidyByTheHour(services: Services): () => void {
  const tidy = () => {
    for (const [what, chore] of chores)
      chore(services).catch((error: unknown) => console.error(`${what}:`, error))
  }
  const timer = setInterval(tidy, EVERY_MS)
  timer.unref()
  tidy()
  return () => clearInterval(timer)
}
