import { useEffect, useRef } from 'react'

/**
 * Tells an address once that somebody has begun to fill in a form, so that the shop can see how many did not end.
 * @returns what the element around the form gets
 */
export function useBegun(address: string, token: string) {
  const around = useRef<HTMLDivElement>(null)
  const told = useRef(false)
  const tell = () => {
    if (!told.current) navigator.sendBeacon(address, new URLSearchParams({ token }))
    told.current = true
  }
  const telling = useRef(tell)
  useEffect(() => {
    // The page's scripts are loaded by the first touch, which may have chosen a rating.
    if (around.current?.querySelector(':checked:not(option)')) telling.current()
  }, [])
  return { ref: around, onInput: tell }
}
