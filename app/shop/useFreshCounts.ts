import { useEffect } from 'react'
import { useRevalidator } from 'react-router'

/** For where events do not come through. */
const LOOK_AGAIN_MS = 60_000

/**
 * Counts and arrivals come in by themselves while the page is looked at. A hidden tab listens to nothing, since a
 * browser keeps only few connections to one place; it looks as soon as it is seen again.
 */
export function useFreshCounts(shop: string): void {
  const { revalidate } = useRevalidator()
  useEffect(() => {
    let events: EventSource | null = null
    const look = async () => {
      // A look that fails would put an error in place of the page; while nobody answers, the page stays as it is.
      const answers = await fetch('/healthz').catch(() => null)
      if (answers?.ok && document.visibilityState === 'visible') await revalidate()
    }
    const lookNow = () => void look()
    const listen = () => {
      events?.close()
      events = null
      if (document.visibilityState !== 'visible') return
      events = new EventSource(`/s/${shop}/changes`)
      events.onmessage = lookNow
    }
    const seen = () => {
      listen()
      lookNow()
    }
    listen()
    const timer = setInterval(lookNow, LOOK_AGAIN_MS)
    document.addEventListener('visibilitychange', seen)
    return () => {
      events?.close()
      clearInterval(timer)
      document.removeEventListener('visibilitychange', seen)
    }
  }, [revalidate, shop])
}
