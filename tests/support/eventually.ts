import { vi } from 'vitest'

/** Waits until a check holds. A busy machine takes long, and only a fault takes a minute. */
export const eventually = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: 60_000, interval: 20 })
