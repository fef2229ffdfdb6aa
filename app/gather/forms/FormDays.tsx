import { max, sum } from 'd3-array'
import { scaleBand, scaleLinear } from 'd3-scale'
import { dateFormat } from '../../../core/formats/dates'
import { say } from '../../../core/messages/say/forms'
import type { FormDay } from '../../../server/collection/forms'

const [WIDTH, HEIGHT] = [288, 56]
const steps = ['opened', 'begun', 'sent'] as const
const tones = { opened: 'fill-tint', begun: 'fill-petrol/50', sent: 'fill-petrol' }

const dayWords = (day: string) =>
  dateFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(day))

/** How often a form was opened, begun and sent, by day. */
export default function FormDays({ days }: { days: FormDay[] }) {
  const x = scaleBand(
    days.map(({ day }) => day),
    [0, WIDTH],
  ).padding(0.25)
  // Somebody can open a form one day and send it the next.
  const y = scaleLinear(
    [0, max(days, (day) => Math.max(day.opened, day.begun, day.sent)) || 1],
    [0, HEIGHT - 1],
  )
  const words = (of: (step: (typeof steps)[number]) => number) =>
    steps.map((step) => say(`forms.step.${step}`, { count: of(step) })).join(', ')
  const total = words((step) => sum(days, (day) => day[step]))
  const busy = days.filter(({ opened, begun, sent }) => opened + begun + sent > 0)
  return (
    <>
      <p>{total}</p>
      {busy.length > 0 && (
        <>
          <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-72" aria-hidden="true">
            {days.map((one) => (
              <g key={one.day}>
                {steps.map((step) => (
                  <rect
                    key={step}
                    x={x(one.day)}
                    width={x.bandwidth()}
                    y={HEIGHT - 1 - y(one[step])}
                    height={y(one[step])}
                    className={tones[step]}
                  />
                ))}
                <title>{`${dayWords(one.day)}: ${words((step) => one[step])}`}</title>
              </g>
            ))}
            <path d={`M0 ${HEIGHT - 0.5}H${WIDTH}`} className="stroke-edge" />
          </svg>
          <p className="flex w-full max-w-72 justify-between text-[13px] text-soft" aria-hidden="true">
            <span>{dayWords(days[0]!.day)}</span>
            <span>{dayWords(days.at(-1)!.day)}</span>
          </p>
          <ul className="sr-only">
            {busy.map((one) => (
              <li key={one.day}>{`${dayWords(one.day)}: ${words((step) => one[step])}`}</li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}
