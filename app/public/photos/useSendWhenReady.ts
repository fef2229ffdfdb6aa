import { useEffect, useRef, useState, type MouseEvent } from 'react'

/** A form that is sent while photos are uploading is sent once they are there. */
export function useSendWhenReady(pending: boolean) {
  const button = useRef<HTMLButtonElement | null>(null)
  const [waiting, setWaiting] = useState(false)
  useEffect(() => {
    if (waiting && !pending) button.current?.form?.requestSubmit(button.current)
  }, [waiting, pending])
  return {
    waiting: waiting && pending,
    /** For the submit button; the enter key clicks it too. */
    send: (event: MouseEvent<HTMLButtonElement>) => {
      setWaiting(pending)
      if (!pending) return
      event.preventDefault()
      button.current = event.currentTarget
    },
  }
}
