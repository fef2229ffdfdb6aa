import { useSyncExternalStore } from 'react'

const never = () => () => undefined

/** Whether scripts run here; false in what the server sends, and for people without scripts. */
export function useAwake(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
}
