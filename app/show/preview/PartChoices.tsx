import { useEffect, useRef, type CSSProperties } from 'react'
import { Link } from 'react-router'
import type { TextPart } from '../../../core/display/choices'
import type { Configuration } from '../../../core/display/configuration'
import { reviewParts, switchedParts } from '../../../core/display/reviewParts'
import { say } from '../../../core/messages/say/show'
import type { EditorView } from '../../../server/publishing/showViews'
import { Faults } from '../style/Faults'
import { TextStyleFields } from '../style/TextStyleFields'
import { ColumnFields } from './ColumnFields'
import { PartFields } from './PartFields'
import { changing } from '../strips/stripProps'
import { switchedPartOf, type Clicked, type PreviewPart } from './previewParts'

interface Given {
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
}

const WIDTH = 400
const WIDER = 560
const WIDEST = 760
const MIN_PANEL_HEIGHT = 230

/** The text whose style is set beside each part. */
const texts: Partial<Record<PreviewPart, TextPart>> = {
  title: 'title',
  line: 'line',
  summary: 'average',
  rating: 'symbols',
  name: 'name',
  date: 'date',
  own: 'proof',
  origin: 'proof',
  links: 'links',
}

const textOf = (part: PreviewPart): TextPart | null => {
  const switched = switchedPartOf(part)
  return switched ? reviewParts[switched].text : (texts[part] ?? null)
}

/** The settings of a clicked part, beside it. */
export default function PartChoices({
  clicked,
  around,
  shop,
  close,
  ...given
}: Given & { clicked: Clicked; around: DOMRect; shop: string; close: () => void }) {
  const panel = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const first = (fields: string) => panel.current?.querySelector<HTMLElement>(fields)
    ;(first('input:checked, input, select, textarea') ?? first('button'))?.focus({ preventScroll: true })
  }, [clicked])
  const { part, review, column, box } = clicked
  const width = Math.min(part === 'summary' ? WIDEST : part === 'card' ? WIDER : WIDTH, around.width - 16)
  const text = textOf(part)
  const place = placeBeside(box, around, width)
  return (
    <div
      ref={panel}
      role="dialog"
      aria-label={say(`show.part.${part}`)}
      className="panel absolute z-20 flex flex-col gap-2.5 overflow-y-auto p-3.5 font-sans shadow-lg"
      style={{ width, ...place }}
      onKeyDown={(event) => event.key === 'Escape' && close()}
    >
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="font-semibold">{say(`show.part.${part}`)}</h2>
        <button type="button" className="part min-h-6 text-[13px]" onClick={close}>
          {say('show.close')}
        </button>
      </div>
      {column === null ? <PartFields part={part} {...given} /> : <ColumnFields column={column} {...given} />}
      {text && <TextStyleFields part={text} {...given} />}
      <Faults {...given} />
      {review && (
        <>
          {part !== 'own' && <HiddenParts {...given} />}
          <Link className="part self-start" to={`/s/${shop}/decide/${review}`}>
            {say('show.openInDecide')}
          </Link>
        </>
      )}
    </div>
  )
}

/** Below the part or above it, where there is more room, else beside it; in CSS pixels of the preview, and never beyond it. */
function placeBeside(box: DOMRect, around: DOMRect, width: number): CSSProperties {
  const within = (left: number) => Math.max(8, Math.min(left, around.width - width - 8))
  const left = within(box.left - around.left)
  const top = Math.max(8, box.bottom - around.top + 8)
  const [below, above] = [around.height - top - 8, box.top - around.top - 16]
  if (below >= Math.max(MIN_PANEL_HEIGHT, above)) return { left, top, maxHeight: below }
  if (above >= MIN_PANEL_HEIGHT) return { left, bottom: around.bottom - box.top + 8, maxHeight: above }
  const right = box.right - around.left + 8
  return {
    left: right + width + 8 < around.width ? right : within(box.left - around.left - width - 8),
    top: 8,
    maxHeight: around.height - 16,
  }
}

/** Hidden parts can't be clicked, so they are shown again from here. */
function HiddenParts(given: Given) {
  const { parts } = given.draft
  const set = changing(given, 'parts')
  const hidden = switchedParts.filter((part) => !parts[part])
  const back = [
    ...hidden.map((part) => ({
      words: say(`display.reviewPart.${part}`),
      show: () => set({ [part]: true }),
    })),
    ...(parts.name === 'hidden'
      ? [{ words: say('display.part.name'), show: () => set({ name: 'firstInitial' }) }]
      : []),
    ...(parts.rating === 'hidden'
      ? [{ words: say('display.part.rating'), show: () => set({ rating: 'glyphs' }) }]
      : []),
    ...(parts.origin === 'hidden' && given.view.listings.length > 0
      ? [{ words: say('display.part.origin'), show: () => set({ origin: 'link' as const }) }]
      : []),
    ...(parts.date === 'hidden'
      ? [{ words: say('display.part.date'), show: () => set({ date: 'month' }) }]
      : []),
  ]
  if (back.length === 0) return null
  return (
    <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t border-line pt-2.5 text-[13px] text-soft">
      {say('show.hiddenNow')}
      {back.map(({ words, show }) => (
        <button key={words} type="button" className="part min-h-6" onClick={show}>
          {words}
        </button>
      ))}
    </p>
  )
}
