import { useEffect, useRef, useState, type MouseEvent } from 'react'

/** A form that is sent while photos are still on their way goes by itself as soon as they are there. */
export function useSendWhenReady(pending: boolean) {
  const button = useRef<HTMLButtonElement | null>(null)
  const [waiting, setWaiting] = useState(false)
  useEffect(() => {
    if (waiting && !pending) button.current?.form?.requestSubmit(button.current)
  }, [waiting, pending])
  return {
    waiting: waiting && pending,
    /** For the button that sends: also what is sent with the enter key goes through a click on it. */
    send: (event: MouseEvent<HTMLButtonElement>) => {
      setWaiting(pending)
      if (!pending) return
      event.preventDefault()
      button.current = event.currentTarget
    },
  }
}
