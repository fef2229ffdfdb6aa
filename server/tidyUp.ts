import { forgetOldAddresses } from './collection/forgetAddresses'
import { sweepMedia } from './media/sweepMedia'
import type { Services } from './services'

const EVERY_MS = 3_600_000

const chores: [name: string, chore: (services: Services) => Promise<unknown>][] = [
  ['forget network addresses', forgetOldAddresses],
  ['sweep media', sweepMedia],
]

/** Does now and every hour what nobody waits for; answers how to stop that. */
export function tidyByTheHour(services: Services): () => void {
  const tidy = () => {
    for (const [name, chore] of chores)
      chore(services).catch((error: unknown) =>
        services.log.error({ err: error, chore: name }, 'chore failed'),
      )
  }
  const timer = setInterval(tidy, EVERY_MS)
  timer.unref()
  tidy()
  return () => clearInterval(timer)
}
