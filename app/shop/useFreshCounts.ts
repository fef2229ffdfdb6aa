import { useEffect } from 'react'
import { useRevalidator } from 'react-router'

/** For connections without events. */
const LOOK_AGAIN_MS = 60_000

/**
 * Updates counts and lists while the page is visible. A hidden tab disconnects, because a browser allows only
 * few connections to a host, and updates when it is visible again.
 */
export function useFreshCounts(shop: string): void {
  const { revalidate } = useRevalidator()
  useEffect(() => {
    let events: EventSource | null = null
    const look = async () => {
      // A failed update must not replace the page with an error.
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
