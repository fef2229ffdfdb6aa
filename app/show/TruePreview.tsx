import { useEffect, useRef, useState } from 'react'
import type { Layout } from '../../core/display/configuration'
import { Link } from 'react-router'
import { say } from '../../core/words/say'
import { COLUMN_MARKS } from '../../onsite/styles'
import type { RenderedDisplay } from '../../onsite/render'
import { ShadowHtml } from '../components/ShadowHtml'

const NARROWEST = 300
const STEP = 10

/** The very output that visitors get, in a box whose width can be drawn; above it, where the columns change. */
export function TruePreview({
  preview,
  layout,
  dress,
  empty,
  samples,
  shop,
}: {
  preview: RenderedDisplay
  layout: Layout
  dress: { ground: string; ink: string; fonts: string }
  empty: boolean
  samples: boolean
  shop: string
}) {
  const scroller = useRef<HTMLDivElement>(null)
  const [room, setRoom] = useState(900)
  const [wanted, setWanted] = useState<number | null>(null)
  useEffect(() => {
    const box = scroller.current
    if (!box) return
    const watch = new ResizeObserver(() => setRoom(box.clientWidth))
    watch.observe(box)
    return () => watch.disconnect()
  }, [])
  const width = Math.max(NARROWEST, Math.min(wanted ?? room, room))
  return (
    <section aria-label={say('show.preview')} className="flex min-h-0 flex-1 flex-col px-6 pt-2">
      <div className="relative h-7 shrink-0">
        <Mark at={0} words={say('show.onePerRow')} />
        {layout === 'grid' &&
          COLUMN_MARKS.filter((mark) => mark < room - 90).map((mark, i) => (
            <Mark
              key={mark}
              at={mark}
              words={say('show.columnsFrom', { columns: columns[i]!, width: mark })}
            />
          ))}
        <label className="absolute inset-x-0 -bottom-[13px] z-10">
          <span className="sr-only">{say('show.width')}</span>
          <input
            type="range"
            min={NARROWEST}
            max={room}
            step={STEP}
            value={width}
            onChange={(event) => setWanted(event.currentTarget.valueAsNumber)}
            className="width-range"
            style={{ marginLeft: NARROWEST - 12, width: Math.max(0, room - NARROWEST + 24) }}
          />
        </label>
        <output
          className="absolute -top-0.5 z-10 -translate-x-full rounded-md bg-deep px-2 py-0.5 text-[12px] font-semibold whitespace-nowrap text-white"
          style={{ left: width }}
        >
          {width} ⇔
        </output>
      </div>
      <div
        ref={scroller}
        className="min-h-0 flex-1 overflow-x-hidden overflow-y-auto [scrollbar-gutter:stable]"
        tabIndex={0}
      >
        <div
          className="mb-4 rounded-b-lg border-t-[3px] border-r-[3px] border-petrol px-6 py-6"
          style={{ width, background: dress.ground, color: dress.ink, fontFamily: dress.fonts || undefined }}
        >
          {samples && (
            <p className="mb-5 flex flex-wrap items-center gap-x-3 gap-y-2 rounded-lg bg-tint px-3 py-2 font-sans text-ink">
              {say('show.samples')}
              <Link className="part" to={`/s/${shop}/gather/write`}>
                {say('show.firstOne')}
              </Link>
            </p>
          )}
          {empty && !samples && (
            <p className="mb-4 rounded-lg bg-wash px-3 py-2 text-soft">{say('show.nothing')}</p>
          )}
          <ShadowHtml {...preview} className="text-[17px]" />
        </div>
      </div>
    </section>
  )
}

const columns = [say('show.two'), say('show.three')]

function Mark({ at, words }: { at: number; words: string }) {
  return (
    <span
      className="absolute top-0 border-l-2 border-petrol pl-2 text-[13px] whitespace-nowrap text-soft"
      style={{ left: at }}
    >
      {words}
    </span>
  )
}
