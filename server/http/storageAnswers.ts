import { data } from 'react-router'
import { storageFault } from '../data/storageFault'

/**
 * Use cases whose failure to store anything is thrown as an answer that routes and pages know: status 503, and
 * why.
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
