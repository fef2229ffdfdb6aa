import { isRouteErrorResponse } from 'react-router'
import { say } from '../core/messages/say/frame'

const faults = ['busy', 'full', 'unwritable'] as const
type Fault = (typeof faults)[number]

/** Why the server could not store anything, from a thrown answer; null for other errors. */
export function storageFaultIn(error: unknown): Fault | null {
  if (isRouteErrorResponse(error)) return error.status === 503 ? faultOf(error.data) : null
  const thrown = (error ?? {}) as { type?: unknown; data?: unknown; init?: ResponseInit | null }
  return thrown.type === 'DataWithResponseInit' && thrown.init?.status === 503 ? faultOf(thrown.data) : null
}

const faultOf = (data: unknown): Fault | null => faults.find((fault) => fault === data) ?? null

/** The message for members. */
export function storageWords(error: unknown): string | null {
  const fault = storageFaultIn(error)
  return fault && say(`error.storage.${fault}`)
}
