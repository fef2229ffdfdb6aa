import { useRef, useState } from 'react'
import { NARROWEST_MARK, WIDEST_MARK } from '../../../core/display/choices'
import { layoutTraits } from '../../../core/display/layoutTraits'
import type { Arrangement } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'

const STEP = 10
/** The smallest distance between two handles. */
const APART = 40
/** The room of a label, in pixels. */
const LABEL = 156
const SHORT_LABEL = 70

/**
 * The width of the preview on a line, in words: where another column begins, and how wide it is now. Each
 * threshold can be slid, or moved by keys.
 */
export function Ruler({
  layout,
  offset,
  room,
  width,
  words,
  change,
}: {
  layout: Arrangement
  /** The difference between the widths of page and box. */
  offset: number
  room: number
  /** The width of the preview. */
  width: number
  /** The label of the width. */
  words: string
  change: (marks: number[]) => void
}) {
  const shown = layoutTraits[layout.kind].columns ? layout.marks.slice(0, layout.columns - 1) : []
  const places = shown.map((mark) => mark + offset)
  const move = (index: number, to: number) => {
    const least = index === 0 ? NARROWEST_MARK : layout.marks[index - 1]! + APART
    const most = index + 1 < layout.marks.length ? layout.marks[index + 1]! - APART : WIDEST_MARK
    const snapped = Math.round(Math.min(most, Math.max(least, to)) / STEP) * STEP
    if (snapped !== layout.marks[index]) change(layout.marks.with(index, snapped))
  }
  const isPast = (place: number) => width - SHORT_LABEL < place
  return (
    <>
      <span className="absolute -top-0.5 left-0 text-[13px] whitespace-nowrap text-soft" hidden={width < 320}>
        {say('show.onePerRow')}
      </span>
      <span
        className="absolute bottom-[7px] left-0 h-0.5 bg-petrol forced-fill"
        style={{ width }}
        aria-hidden="true"
      />
      {places.map((place, i) => {
        if (place >= room) return null
        const before = i === 0 ? LABEL / 2 : places[i - 1]!
        const isTight =
          place - before < LABEL || (places[i + 1] ?? Infinity) - place < LABEL || width - place < 1.6 * LABEL
        return (
          <Threshold
            key={i}
            at={shown[i]!}
            left={place}
            columns={i + 2}
            label={isPast(place) && place <= width + LABEL ? 'none' : isTight ? 'short' : 'long'}
            move={(to) => move(i, to)}
          />
        )
      })}
      <output
        className="absolute -top-0.5 -translate-x-full text-[13px] font-semibold whitespace-nowrap"
        style={{ left: Math.max(width, 170) }}
      >
        {words}
      </output>
    </>
  )
}

function Threshold({
  at,
  left,
  columns,
  label,
  move,
}: {
  at: number
  left: number
  columns: number
  label: 'long' | 'short' | 'none'
  move: (to: number) => void
}) {
  const held = useRef<number | null>(null)
  const [moving, setMoving] = useState(false)
  return (
    <>
      {label !== 'none' && (
        <span
          className="absolute -top-0.5 -translate-x-1/2 text-[13px] whitespace-nowrap text-soft"
          style={{ left }}
          aria-hidden="true"
        >
          {say(label === 'long' ? 'show.columnsFrom' : 'show.columnsShort', { columns, width: at })}
        </span>
      )}
      <span
        role="slider"
        tabIndex={0}
        aria-label={say('show.columnsBegin', { columns })}
        aria-valuenow={at}
        aria-valuemin={NARROWEST_MARK}
        aria-valuemax={WIDEST_MARK}
        aria-valuetext={`${at} px`}
        className="group absolute -bottom-1 z-20 grid h-6 w-7 -translate-x-1/2 cursor-ew-resize touch-none place-items-center rounded-full select-none"
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
        <svg
          viewBox="0 0 26 16"
          className={`h-4 w-[26px] ${moving ? 'fill-tint' : 'fill-paper group-hover:fill-tint'}`}
          aria-hidden="true"
        >
          <rect x="1" y="1" width="24" height="14" rx="7" className="stroke-petrol" strokeWidth="2" />
          <path d="m10.5 5-3 3 3 3m5-6 3 3-3 3" className="fill-none stroke-petrol" strokeWidth="1.6" />
        </svg>
      </span>
    </>
  )
}
