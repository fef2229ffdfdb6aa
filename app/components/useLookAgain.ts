import { useEffect } from 'react'
import { useRevalidator } from 'react-router'

const EVERY_MS = 1000

/** Reloads the page's data every second while a job runs. */
export function useLookAgain(isOn: boolean): void {
  const { revalidate } = useRevalidator()
  useEffect(() => {
    if (!isOn) return
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void revalidate()
    }, EVERY_MS)
    return () => clearInterval(timer)
  }, [isOn, revalidate])
}
