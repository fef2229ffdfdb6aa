import { useSyncExternalStore } from 'react'

const STORED_AS = 'elogio-shortcuts'

const listeners = new Set<() => void>()
const listen = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
const changed = () => listeners.forEach((listener) => listener())

/** Whether this browser uses shortcuts of a single key. */
export const useShortcutsOn = (): boolean =>
  useSyncExternalStore(
    listen,
    () => localStorage.getItem(STORED_AS) !== 'off',
    () => true,
  )

export function setShortcutsOn(on: boolean): void {
  if (on) localStorage.removeItem(STORED_AS)
  else localStorage.setItem(STORED_AS, 'off')
  changed()
}
