import { lazy, Suspense, useCallback, useEffect, useRef, useState, type ReactNode } from 'react'
import { bandAt, type Band } from '../../../core/display/bands'
import type { Configuration } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'
import type { EditorView } from '../../../server/publishing/showViews'
import type { Clicked } from './previewParts'
import { PreviewFrames } from './PreviewFrames'
import { PHONE, PreviewTools } from './PreviewTools'
import { NARROWEST, PreviewWidth } from './PreviewWidth'
import { useHeldKey } from './useHeldKey'
import { usePreviewPage } from './usePreviewPage'

const PartChoices = lazy(() => import('./PartChoices'))

/** Left and right padding together. */
const PLAIN_PADDING = 48
const GAP = 12

/** The display as visitors get it, in the shop's page or on a plain background, at any width. */
export function PreviewCanvas({
  view,
  draft,
  change,
  only,
  setOnly,
  onlyHere,
  shop,
  pageAddress,
  measureIn,
}: {
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
  /** The widths that changes are meant for alone; null for all. */
  only: Band | null
  setOnly: (only: Band | null) => void
  onlyHere: (band: Band) => ReactNode
  shop: string
  /** The address of the shop's page without scripts; null if there is none. */
  pageAddress: string | null
  /** Called with the element that contains the display, for measuring heights. */
  measureIn: (box: HTMLElement) => void
}) {
  const page = usePreviewPage(pageAddress)
  const { place, room } = useRoom()
  const [wanted, setWanted] = useState<number | null>(null)
  const [box, setBox] = useState<{ width: number; placed: boolean } | null>(null)
  const [clicked, setClicked] = useState<{ at: Clicked; around: DOMRect } | null>(null)
  const [choosing, setChoosing] = useState(false)
  const [isBeside, setBeside] = useState(false)
  const [before, setBefore] = useHeldKey('b')
  const most = isBeside ? room - PHONE - GAP : room
  const width = Math.max(NARROWEST, Math.min(wanted ?? most, most))
  const boxWidth = page.background === 'page' ? (box?.width ?? width) : width - PLAIN_PADDING
  const band = bandAt(Math.round(boxWidth))
  useEffect(() => {
    if (only && only !== band) setOnly(null)
  }, [only, band, setOnly])
  const hear = useCallback(
    (at: Clicked | null) =>
      setClicked(at && place.current ? { at, around: place.current.getBoundingClientRect() } : null),
    [place],
  )
  const choose = useCallback(
    (spot: string) => {
      setChoosing(false)
      change({ ...draft, placement: { ...draft.placement, spot } })
    },
    [change, draft],
  )
  return (
    <section aria-label={say('show.preview')} className="flex min-h-0 flex-1 flex-col px-4 pt-1 lg:px-6">
      <PreviewTools
        {...{ view, draft, change, shop, page, width, setBeside, before, setBefore, choosing, setChoosing }}
        setWidth={setWanted}
        beside={room > 2 * PHONE ? isBeside : null}
        placed={box?.placed ?? false}
        onlyHere={band && onlyHere(band)}
      />
      <PreviewWidth
        layout={draft.layout}
        setMarks={(marks) => change({ ...draft, layout: { ...draft.layout, marks } })}
        {...{ room, width, boxWidth }}
        setWidth={setWanted}
      />
      <div ref={place} className="relative min-h-0 flex-1">
        <PreviewFrames
          {...{ view, draft, page, width, isBeside, choosing, choose }}
          isBefore={before}
          clicked={hear}
          stands={(element, stands) => {
            if (stands) setBox(stands)
            measureIn(element)
          }}
        />
        <Suspense>
          {clicked && (
            <PartChoices
              clicked={clicked.at}
              around={clicked.around}
              {...{ view, draft, change, shop }}
              close={() => setClicked(null)}
            />
          )}
        </Suspense>
      </div>
    </section>
  )
}

/** The width of an element in CSS pixels. */
function useRoom() {
  const place = useRef<HTMLDivElement>(null)
  const [room, setRoom] = useState(900)
  useEffect(() => {
    if (!place.current) return
    const watch = new ResizeObserver(([entry]) => setRoom(Math.floor(entry!.contentRect.width)))
    watch.observe(place.current)
    return () => watch.disconnect()
  }, [])
  return { place, room }
}
