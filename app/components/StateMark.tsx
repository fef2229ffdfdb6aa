import type { ReactNode } from 'react'
import type { ReviewState } from '../../core/moderation/rules'

const tones: Record<ReviewState, string> = {
  waiting: 'text-slate',
  held: 'text-ochre',
  approved: 'text-moss',
  declined: 'text-soft',
  spam: 'text-plum',
  withdrawn: 'text-soft',
}

/** What became of the thread: loose, pinned, tied, cut, sewn shut, pulled out. */
const threads: Record<ReviewState, ReactNode> = {
  waiting: (
    <path d="M1.500 15.500c5.500.6 10-1.200 12-5.200C15.200 6.700 13.600 3 10.700 3 8 3 6.500 5.500 7.300 8c.4 1.200 1.200 2 2.300 2.300" />
  ),
  held: (
    <>
      <path d="M1.500 16c6 0 11.500-4 12.300-9.200C14.200 4.200 12.500 2.700 10.500 2.700S6.800 4.400 7.300 7c.9 4.600 5.500 8.600 11.200 9" />
      <path d="M14.700 5.300 5.500 18.500" />
      <circle cx="16" cy="3.300" r="1.500" fill="currentColor" />
    </>
  ),
  approved: (
    <>
      <path d="M1.500 14.500h17" />
      <path d="M7.200 14.300C3.800 9.500 6.200 5 10 5s6.200 4.500 2.800 9.300" />
    </>
  ),
  declined: <path d="M1 10h5.500M13.500 10H19M7.500 5.500 6 14.500M14 5.500l-1.500 9" />,
  spam: <path d="M1 11h2.500L6 4.500l3 11 3-11 3 11 2-4.500h2" />,
  withdrawn: (
    <>
      <path d="M1.500 6h7c3 0 4 2 2.800 4.500-1.200 2.600-.3 5 2.700 6.500" />
      <path d="M13.500 6h1.300M17.800 6h.7" />
    </>
  ),
}

/** The state as a shape and a colour; the text beside it names it. */
export function StateMark({ state }: { state: ReviewState }) {
  return (
    <svg
      viewBox="0 0 20 20"
      className={`size-5 shrink-0 ${tones[state]}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {threads[state]}
    </svg>
  )
}
