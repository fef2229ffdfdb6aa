import { scaleLinear } from 'd3-scale'
import { say } from '../../core/messages/say/decide'
import type { AttackView } from '../../server/moderation/attacks'

const [BAR, GAP, TALLEST] = [6, 2, 40]

/** Reviews by time, those of the attack below the others. */
export function AttackGraph({
  bars,
  fromWhen,
  toWhen,
}: {
  bars: AttackView['bars']
  fromWhen: string
  toWhen: string
}) {
  const sumOf = (part: (bar: AttackView['bars'][number]) => number) =>
    bars.reduce((sum, bar) => sum + part(bar), 0)
  const members = sumOf((bar) => bar.members)
  const all = members + sumOf((bar) => bar.others)
  const height = scaleLinear([0, Math.max(...bars.map((bar) => bar.members + bar.others))], [0, TALLEST])
  const width = bars.length * (BAR + GAP) - GAP
  return (
    <figure className="shrink-0 text-[12.5px] text-soft">
      <svg
        role="img"
        aria-label={say('attack.graph', { members, all, from: fromWhen, to: toWhen })}
        width={width}
        height={TALLEST}
      >
        {bars.map((bar, i) => (
          <g key={i} transform={`translate(${i * (BAR + GAP)} ${TALLEST})`}>
            <rect y={-height(bar.members)} width={BAR} height={height(bar.members)} className="fill-ochre" />
            <rect
              y={-height(bar.members + bar.others)}
              width={BAR}
              height={height(bar.others)}
              className="fill-slate/50"
            />
            <rect y={-1} width={BAR} height={1} className="fill-edge" />
          </g>
        ))}
      </svg>
      <figcaption className="mt-1 flex justify-between gap-3" style={{ width }}>
        <span>{fromWhen}</span>
        <span>{toWhen}</span>
      </figcaption>
      <p className="flex gap-3" aria-hidden="true">
        <span className="inline-flex items-center gap-1">
          <span className="size-2 bg-ochre forced-fill" /> {say('attack.members')}
        </span>
        <span className="inline-flex items-center gap-1">
          <span className="size-2 bg-slate/50 forced-fill" /> {say('attack.others')}
        </span>
      </p>
    </figure>
  )
}
