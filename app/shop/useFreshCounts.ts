import { useCallback, useEffect, useRef } from 'react'
import { useFetchers, useLocation, useNavigation, useRevalidator } from 'react-router'
import { useReload } from '../components/useReload'
import { tabId } from '../tabId'
import { isUnderWay } from '../underWay'

/** For connections without events. */
const LOOK_AGAIN_MS = 60_000

/**
 * Updates counts and lists while the page is visible. A hidden tab disconnects, because a browser allows only
 * few connections to a host, and updates when it is visible again.
 */
export function useFreshCounts(shop: string): void {
  const look = useLook()
  // The preview of a display follows its settings; what comes in meanwhile is seen when the page is opened again.
  const isEditor = /^\/s\/[^/]+\/(show|gather\/forms)\/[^/]+/.test(useLocation().pathname)
  useEffect(() => {
    let events: EventSource | null = null
    const listen = () => {
      events?.close()
      events = null
      if (document.visibilityState !== 'visible') return
      events = new EventSource(`/s/${shop}/changes${isEditor ? `?without=reviews&tab=${tabId()}` : ''}`)
      events.onmessage = look
    }
    const seen = () => {
      listen()
      look()
    }
    listen()
    const timer = setInterval(look, LOOK_AGAIN_MS)
    document.addEventListener('visibilitychange', seen)
    return () => {
      events?.close()
      clearInterval(timer)
      document.removeEventListener('visibilitychange', seen)
    }
  }, [look, shop, isEditor])
}

/**
 * Loads the page's data again, after what is under way: an update in the middle of an action would drop its
 * answer and its redirect, and one in the middle of another would begin it again, so that it never ended.
 */
function useLook(): () => void {
  const reload = useReload()
  const navigating = useNavigation().state !== 'idle'
  const acting = useFetchers().length > 0
  const reloading = useRevalidator().state !== 'idle'
  const busy = useRef(false)
  const missed = useRef(false)
  const look = useCallback(() => {
    // A failed update must not replace the page with an error.
    void fetch('/healthz')
      .catch(() => null)
      .then((answer) => {
        if (!answer?.ok || document.visibilityState !== 'visible') return
        missed.current = busy.current || isUnderWay()
        if (!missed.current) reload()
      })
  }, [reload])
  useEffect(() => {
    busy.current = navigating || acting || reloading
    if (busy.current || !missed.current) return
    missed.current = false
    look()
  }, [navigating, acting, reloading, look])
  return look
}
