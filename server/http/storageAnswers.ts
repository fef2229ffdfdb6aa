import { data } from 'react-router'
import { storageFault } from '../data/storageFault'

/**
 * Wraps use cases: a failure to store becomes an answer with status 503 and the reason, which routes and
 * pages know.
 */
export function answeringStorageFaults<T extends object>(useCases: T): T {
  return new Proxy(useCases, {
    get(target, name, receiver) {
      const useCase: unknown = Reflect.get(target, name, receiver)
      if (typeof useCase !== 'function') return useCase
      return (...given: unknown[]) => {
        const outcome: unknown = useCase(...given)
        return outcome instanceof Promise ? outcome.catch(rethrowKnown) : outcome
      }
    },
  })
}

function rethrowKnown(error: unknown): never {
  const fault = storageFault(error)
  if (!fault) throw error
  throw data(fault, { status: 503, headers: { 'Retry-After': '5' } })
}
