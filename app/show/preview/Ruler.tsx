import { useRef, useState } from 'react'
import { hasColumns, NARROWEST_MARK, WIDEST_MARK } from '../../../core/display/choices'
import type { Arrangement } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'

const STEP = 10
/** The smallest distance between two handles. */
const APART = 40

/** The widths at which the number of columns changes; each handle can be moved. */
export function Ruler({
  layout,
  offset,
  room,
  change,
}: {
  layout: Arrangement
  /** The difference between the widths of page and box. */
  offset: number
  room: number
  change: (marks: number[]) => void
}) {
  const shown = hasColumns(layout.kind) ? layout.marks.slice(0, layout.columns - 1) : []
  const move = (index: number, to: number) => {
    const least = index === 0 ? NARROWEST_MARK : layout.marks[index - 1]! + APART
    const most = index + 1 < layout.marks.length ? layout.marks[index + 1]! - APART : WIDEST_MARK
    const snapped = Math.round(Math.min(most, Math.max(least, to)) / STEP) * STEP
    if (snapped !== layout.marks[index]) change(layout.marks.with(index, snapped))
  }
  return (
    <>
      <span className="absolute top-0 left-0 border-l-2 border-petrol pl-2 text-[13px] whitespace-nowrap text-soft">
        {say('show.onePerRow')}
      </span>
      {shown.map((mark, i) =>
        mark + offset < room ? (
          <Mark
            key={i}
            at={mark}
            left={mark + offset}
            flip={mark + offset > room - 150}
            columns={i + 2}
            move={(to) => move(i, to)}
          />
        ) : null,
      )}
    </>
  )
}

function Mark({
  at,
  left,
  flip,
  columns,
  move,
}: {
  at: number
  left: number
  /** The label is before the handle if there is no room after it. */
  flip: boolean
  columns: number
  move: (to: number) => void
}) {
  const held = useRef<number | null>(null)
  const [moving, setMoving] = useState(false)
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={say('show.columnsBegin', { columns: say(`show.columns.c${columns as 2 | 3 | 4}`) })}
      aria-valuenow={at}
      aria-valuemin={NARROWEST_MARK}
      aria-valuemax={WIDEST_MARK}
      aria-valuetext={`${at} px`}
      className={`absolute top-0 min-h-6 cursor-ew-resize touch-none text-[13px] whitespace-nowrap select-none hover:text-ink ${flip ? '-translate-x-full border-r-2 pr-2' : 'border-l-2 pl-2'} ${moving ? 'border-apricot text-ink' : 'border-petrol text-soft'}`}
      style={{ left }}
      onKeyDown={(event) => {
        const step = { ArrowLeft: -STEP, ArrowRight: STEP, PageDown: -100, PageUp: 100 }[event.key]
        if (step === undefined) return
        event.preventDefault()
        move(at + step)
      }}
      onPointerDown={(event) => {
        held.current = event.clientX - left
        setMoving(true)
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={(event) => {
        if (held.current !== null) move(at + (event.clientX - held.current - left))
      }}
      onPointerUp={() => {
        held.current = null
        setMoving(false)
      }}
    >
      {say('show.columnsFrom', { columns: say(`show.columns.c${columns as 2 | 3 | 4}`), width: at })}
    </span>
  )
}
