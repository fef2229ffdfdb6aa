import type { Challenge, Solution } from 'altcha-lib'
import { useEffect, useState } from 'react'
import { NO_WORK } from '../../../core/intake/suspicion'

/**
 * The computation that a form asks for, done while the form is filled in.
 * @param challenge stays the same while the page is open; null where nothing is sent
 */
export function useWork(challenge: Challenge | null): { pending: boolean; work: string } {
  const [work, setWork] = useState<string | null>(null)
  useEffect(() => {
    if (!challenge) return
    const worker = new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' })
    const tell = (solution: Solution | null) =>
      setWork(solution ? JSON.stringify({ challenge, solution }) : NO_WORK)
    worker.onmessage = ({ data }: MessageEvent<Solution | null>) => tell(data)
    worker.onerror = () => tell(null)
    worker.postMessage(challenge)
    return () => worker.terminate()
  }, [challenge])
  return { pending: work === null, work: work ?? NO_WORK }
}
