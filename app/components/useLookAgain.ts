import { useEffect } from 'react'
import { useNavigation } from 'react-router'
import { isUnderWay } from '../underWay'
import { useReload } from './useReload'

const EVERY_MS = 1000

/** Reloads the page's data every second while a job runs, but never begins again what is being loaded. */
export function useLookAgain(isOn: boolean): void {
  const reload = useReload()
  const isLeaving = useNavigation().state !== 'idle'
  useEffect(() => {
    if (!isOn || isLeaving) return
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible' && !isUnderWay()) reload()
    }, EVERY_MS)
    return () => clearInterval(timer)
  }, [isOn, isLeaving, reload])
}
