import { useEffect, useRef } from 'react'
import { selectionOrders } from '../../core/curation/selection'
import { DISPLAY_TITLE_LIMIT, layouts, type Configuration } from '../../core/display/configuration'
import { ratingWords, type SentencePart } from '../../core/display/sentence'
import { say } from '../../core/words/say'
import type { EditorView } from '../../server/publishing/editorView'
import { Uprights } from '../components/RatingMark'
import { ShadowHtml } from '../components/ShadowHtml'
import { Choices } from './Choices'
import { NumberField } from './NumberField'

const numbers = [3, 4, 6, 8, 9, 12]

interface StripProps {
  draft: Configuration
  view: EditorView
  change: (changed: Configuration) => void
}

/** The choices of one part of the sentence, under it and never over what they change. */
export function Strip({ part, close, ...props }: StripProps & { part: SentencePart; close: () => void }) {
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    box.current?.querySelector<HTMLElement>('input:checked, input')?.focus()
  }, [part])
  return (
    <div
      ref={box}
      id="strip"
      className="mt-2"
      onKeyDown={(event) => {
        if (event.key !== 'Escape' && !(event.key === 'Enter' && part === 'title')) return
        close()
        document.querySelector<HTMLElement>(`[data-part="${part}"]`)?.focus()
      }}
    >
      <Part part={part} {...props} />
    </div>
  )
}

function Part({ part, ...props }: StripProps & { part: SentencePart }) {
  switch (part) {
    case 'limit':
      return <NumberStrip {...props} />
    case 'lowestRating':
      return <RatingStrip {...props} />
    case 'order':
      return <OrderStrip {...props} />
    case 'layout':
      return <LayoutStrip {...props} />
    case 'title':
      return <TitleStrip {...props} />
  }
}

function NumberStrip({ draft, change }: StripProps) {
  const set = (limit: number) => change({ ...draft, selection: { ...draft.selection, limit } })
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
      <Choices
        name="limit"
        label={say('display.part.limit')}
        value={draft.selection.limit}
        choices={numbers.map((number) => ({ value: number, words: String(number) }))}
        choose={set}
      />
      <NumberField value={draft.selection.limit} set={set} />
    </div>
  )
}

function RatingStrip({ draft, view, change }: StripProps) {
  return (
    <Choices
      name="lowestRating"
      label={say('display.part.lowestRating')}
      value={draft.selection.lowestRating}
      choices={[1, 2, 3, 4, 5].map((lowest) => ({
        value: lowest,
        words: ratingWords(lowest),
        picture: <Uprights lit={lowest === 1 ? 0 : lowest} />,
        small: say('show.fits', { count: view.fitting[lowest - 1] ?? 0 }),
      }))}
      choose={(lowestRating) => change({ ...draft, selection: { ...draft.selection, lowestRating } })}
    />
  )
}

function OrderStrip({ draft, view, change }: StripProps) {
  return (
    <Choices
      name="order"
      label={say('display.part.order')}
      value={draft.selection.order}
      choices={selectionOrders.map((order) => ({
        value: order,
        words: say(`display.order.${order}`),
        picture: (
          <span className="flex flex-col gap-0.5">
            {view.firstByOrder[order].map(({ publicId, name, rating }) => (
              <span key={publicId} className="flex items-end gap-1.5 text-[12px] text-ink">
                {rating !== null && <b className="leading-none">{rating / 100}</b>}
                {name}
              </span>
            ))}
          </span>
        ),
      }))}
      choose={(order) => change({ ...draft, selection: { ...draft.selection, order } })}
    />
  )
}

function LayoutStrip({ draft, view, change }: StripProps) {
  return (
    <Choices
      name="layout"
      label={say('display.part.layout')}
      value={draft.layout}
      choices={layouts.map((layout) => ({
        value: layout,
        words: say(`display.layout.${layout}`),
        picture: (
          <span
            className="block h-[74px] w-[168px] overflow-hidden rounded-md border border-line bg-white"
            inert
          >
            <ShadowHtml
              {...view.miniatures[layout]}
              className="w-[800px] origin-top-left scale-[0.21] p-6 font-serif text-[22px] text-[#13262c]"
            />
          </span>
        ),
      }))}
      choose={(layout) => change({ ...draft, layout })}
    />
  )
}

function TitleStrip({ draft, change }: StripProps) {
  return (
    <label className="flex max-w-xl items-center gap-3 text-soft">
      {say('show.titleLabel')}
      <input
        className="input flex-1 border-edge text-[15px] text-ink"
        maxLength={DISPLAY_TITLE_LIMIT}
        placeholder={say('show.titlePlaceholder')}
        value={draft.title}
        onChange={(event) => change({ ...draft, title: event.currentTarget.value })}
      />
    </label>
  )
}
