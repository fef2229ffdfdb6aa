import { startTransition, useEffect, useRef, useState } from 'react'
import { useFetcher } from 'react-router'
import { acts } from '../../core/moderation/likelyAct'
import { reviewActSchema, type ReviewAct } from '../../core/moderation/reviewAct'

const isDecision = ({ kind }: ReviewAct): boolean => acts.some((one) => one === kind)

/**
 * Sends the acts on one review, each after the answer to the one before, with the revision that this left. After a
 * decision the next review opens, so a second press of its key is for nothing; a problem also ends what waits.
 */
export function useReviewActs(action: string, revision: number) {
  const fetcher = useFetcher<{ problem: string } | null>()
  // The state of the fetcher follows with a render, and two keys can come before it.
  const sent = useRef<{ act: ReviewAct; answered: boolean } | null>(null)
  const waiting = useRef<ReviewAct[]>([])
  const [, lookAgain] = useState({})
  const send = (act: ReviewAct) => {
    const sending = { act, answered: false }
    sent.current = sending
    const fields = { act: JSON.stringify(reviewActSchema.parse(act)), revision }
    void fetcher.submit(fields, { method: 'post', action }).finally(() => {
      sending.answered = true
      startTransition(() => lookAgain({}))
    })
  }
  const act = (chosen: ReviewAct) => {
    if (!sent.current) send(chosen)
    else if (!isDecision(sent.current.act)) waiting.current.push(chosen)
  }
  const problem = fetcher.data?.problem
  useEffect(() => {
    if (!sent.current?.answered || fetcher.state !== 'idle') return
    sent.current = null
    if (problem) waiting.current = []
    const next = waiting.current.shift()
    if (next) send(next)
  })
  return { act, problem }
}
