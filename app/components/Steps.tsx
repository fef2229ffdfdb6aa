import { NavLink } from 'react-router'
import { say } from '../../core/messages/say/frame'

const steps = ['gather', 'decide', 'show'] as const
/** Only work has a number. */
export interface StepCounts {
  decide: number
}

/** The steps; the current one is filled, and what needs a decision is counted. */
export function Steps({ shop, counts, isOwner }: { shop: string; counts: StepCounts; isOwner: boolean }) {
  return (
    <nav
      aria-label={say('frame.steps')}
      className="band-steps fixed inset-x-0 bottom-0 z-30 bg-deep px-6 lg:relative lg:inset-auto lg:z-auto lg:px-0"
    >
      <span
        className="absolute inset-x-0 bottom-[11px] h-px bg-[#4d7f89] forced-fill lg:bottom-[17px] lg:-left-[50vw] lg:w-[200vw]"
        aria-hidden="true"
      />
      <ol className="flex justify-between lg:justify-start">
        {steps
          .filter((step) => isOwner || step !== 'show')
          .map((step) => (
            <li key={step} className="lg:w-[165px] lg:last:w-[96px]">
              <NavLink
                to={`/s/${shop}/${step}`}
                className="group flex h-12 flex-col justify-between py-1 text-[15px] lg:h-16 lg:py-2.5"
              >
                {({ isActive }) => (
                  <>
                    <span
                      className={
                        isActive ? 'font-semibold text-white' : 'text-[#d5e3e5] group-hover:text-white'
                      }
                    >
                      {say(`step.${step}`)}{' '}
                      {step === 'decide' && counts.decide > 0 && (
                        <Work count={counts.decide} isActive={isActive} />
                      )}
                    </span>
                    <Knot filled={isActive} />
                  </>
                )}
              </NavLink>
            </li>
          ))}
      </ol>
    </nav>
  )
}

function Work({ count, isActive }: { count: number; isActive: boolean }) {
  return (
    <span
      className={`relative ml-0.5 inline-block rounded-full px-1.5 text-[13.5px] ring-1 ring-[#7fa9b1] ${isActive ? 'text-knot' : 'text-[#b4cdd1]'}`}
    >
      <span aria-hidden="true">{count}</span>
      <span className="sr-only">, {say('step.count.decide', { count })}</span>
      <span
        className="pointer-events-none absolute top-full left-0 z-50 mt-1 hidden rounded-md bg-white px-2 py-1 text-[13px] font-normal whitespace-nowrap text-[#13262c] shadow group-hover:lg:block group-focus-visible:lg:block"
        aria-hidden="true"
      >
        {say('step.count.decide', { count })}
      </span>
    </span>
  )
}

function Knot({ filled }: { filled: boolean }) {
  return (
    <svg viewBox="0 0 24 24" className="relative -mb-[5px] -ml-1 size-6" aria-hidden="true">
      {filled ? (
        <>
          <circle cx="12" cy="12" r="11" className="fill-neutral stroke-knot" strokeWidth="1.3" />
          <circle cx="12" cy="12" r="7" className="fill-knot" />
        </>
      ) : (
        <circle cx="12" cy="12" r="6" className="fill-neutral stroke-[#b4cdd1]" strokeWidth="1.8" />
      )}
    </svg>
  )
}
