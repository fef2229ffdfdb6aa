import type { Arrangement } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'
import { Ruler } from './Ruler'

/** In CSS pixels. */
export const NARROWEST = 240
const STEP = 10

/** The width of the preview in CSS pixels, with the marks at which the columns change. */
export function PreviewWidth({
  layout,
  setMarks,
  room,
  width,
  setWidth,
  boxWidth,
}: {
  layout: Arrangement
  setMarks: (marks: number[]) => void
  room: number
  width: number
  setWidth: (width: number) => void
  /** Of the box that the display stands in. */
  boxWidth: number
}) {
  return (
    <div className="relative h-8 shrink-0">
      <Ruler
        layout={layout}
        offset={Math.max(0, width - boxWidth)}
        room={room}
        width={width}
        words={say('show.widthNow', { width: Math.round(boxWidth) })}
        change={setMarks}
      />
      <label className="absolute inset-x-0 -bottom-1 z-10">
        <span className="sr-only">{say('show.width')}</span>
        <input
          type="range"
          min={NARROWEST}
          max={room}
          step={STEP}
          value={width}
          onChange={(event) => setWidth(event.currentTarget.valueAsNumber)}
          className="width-range"
          style={{ marginLeft: NARROWEST - 12, width: Math.max(0, room - NARROWEST + 24) }}
        />
      </label>
    </div>
  )
}
