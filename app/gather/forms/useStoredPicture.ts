import { useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import { say } from '../../../core/messages/say/setUp'
import { smallPicture } from '../../components/smallPicture'

/** In pixels. */
export const LONGEST_SIDE = 1200

/** Stores a chosen picture at once; `put` gets the name of its file. */
export function useStoredPicture(put: (name: string) => void) {
  const fetcher = useFetcher<{ picture?: string | null }>()
  const [unreadable, setUnreadable] = useState(false)
  const latest = useRef(put)
  useEffect(() => {
    latest.current = put
  })
  const answer = fetcher.data
  useEffect(() => {
    if (answer?.picture) latest.current(answer.picture)
  }, [answer])
  const send = (picture: string) => void fetcher.submit({ intent: 'picture', picture }, { method: 'post' })
  return {
    problem: unreadable || answer?.picture === null ? say('setUp.error.picture') : null,
    send,
    take: async (file: File | undefined) => {
      if (!file) return
      const small = await smallPicture(file, LONGEST_SIDE)
      setUnreadable(small === null)
      if (small) send(small)
    },
  }
}
