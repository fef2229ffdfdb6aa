import { NavLink } from 'react-router'
import { say } from '../../core/words/say'

const steps = ['gather', 'decide', 'show'] as const
export type StepCounts = Record<(typeof steps)[number], number>

/** The steps on one thread, each with its knot and live count; the knot of the step you are in is filled. */
export function Thread({ shop, counts }: { shop: string; counts: StepCounts }) {
  return (
    <nav aria-label={say('frame.steps')} className="relative">
      <span className="absolute right-0 bottom-[17px] left-2 h-px bg-[#4d7f89]" aria-hidden="true" />
      <ol className="flex">
        {steps.map((step) => (
          <li key={step} className="w-[120px] last:w-[70px] lg:w-[165px] lg:last:w-[96px]">
            <NavLink
              to={`/s/${shop}/${step}`}
              className="group flex h-16 flex-col justify-between py-2.5 text-[15px]"
            >
              {({ isActive }) => (
                <>
                  <span
                    className={
                      isActive ? 'font-semibold text-white' : 'text-[#d5e3e5] group-hover:text-white'
                    }
                  >
                    {say(`step.${step}`)}{' '}
                    <span className={`ml-0.5 text-[13.5px] ${isActive ? 'text-knot' : 'text-[#b4cdd1]'}`}>
                      {counts[step]}
                    </span>
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
