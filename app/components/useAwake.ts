import { useSyncExternalStore } from 'react'

const never = () => () => undefined

/** Whether scripts run; false in the server's HTML. */
export function useAwake(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
}
