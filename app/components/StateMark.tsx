import type { ReviewState } from '../../core/moderation/rules'

const tones: Record<ReviewState, string> = {
  waiting: 'text-slate',
  held: 'text-ochre',
  approved: 'text-moss',
  declined: 'text-soft',
  spam: 'text-plum',
  withdrawn: 'text-soft',
}

/** The state as shape and colour; the text beside it names it. */
export function StateMark({ state }: { state: ReviewState }) {
  return (
    <svg
      viewBox="0 0 16 16"
      className={`size-3.5 shrink-0 ${tones[state]}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      aria-hidden="true"
    >
      <Shape state={state} />
    </svg>
  )
}

function Shape({ state }: { state: ReviewState }) {
  const ring = <circle cx="8" cy="8" r="6.6" />
  switch (state) {
    case 'waiting':
      return ring
    case 'held':
      return (
        <>
          {ring}
          <path d="M6.3 5.500v5M9.7 5.500v5" strokeLinecap="round" />
        </>
      )
    case 'approved':
      return (
        <>
          <circle cx="8" cy="8" r="7.5" fill="currentColor" stroke="none" />
          <path
            d="M4.8 8.3 7 10.500l4.3-4.7"
            className="stroke-paper"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </>
      )
    case 'declined':
      return (
        <>
          {ring}
          <path d="M3.4 12.6 12.6 3.4" />
        </>
      )
    case 'spam':
      return (
        <>
          <rect x="1" y="1" width="14" height="14" rx="3" fill="currentColor" stroke="none" />
          <path d="m5.2 5.2 5.6 5.600m0-5.6-5.6 5.6" className="stroke-paper" strokeLinecap="round" />
        </>
      )
    case 'withdrawn':
      return (
        <>
          <path d="M13.8 8.600A5.9 5.9 0 1 1 11.5 3.3" strokeLinecap="round" />
          <path d="M8.6 4.200h3.600V.600" strokeLinecap="round" strokeLinejoin="round" />
        </>
      )
  }
}
