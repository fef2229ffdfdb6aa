import { closestCenter, DndContext } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { Link } from 'react-router'
import type { Configuration } from '../../core/display/configuration'
import { languageName } from '../../core/messages/languageName'
import { countWordFirst } from '../../core/messages/countWord'
import { say } from '../../core/messages/say/show'
import type { EditorView } from '../../server/publishing/showViews'
import type { PickedLine } from '../../server/publishing/pickedLine'
import { DragHandle } from '../components/DragHandle'
import { spokenMoves, useDragSensors } from '../components/dragging'
import { RatingMark } from '../components/RatingMark'
import { asPicked, leaveOut, movedTo, pullIn, takeBackIn, unpin } from '../../core/curation/byHand'

interface Given {
  shop: string
  view: EditorView
  draft: Configuration
  change: (changed: Configuration) => void
}

/** The selected reviews in order. They can be moved by pointer and keys, pinned and removed. */
export default function PickedList({ shop, view, draft, change }: Given) {
  const { publishableCount, next, leftOut } = view
  const picked = asPicked(view.picked, draft.selection)
  const ids = picked.map(({ publicId }) => publicId)
  const sensors = useDragSensors()
  const select = (selection: Configuration['selection']) => change({ ...draft, selection })
  return (
    <aside className="flex min-h-0 flex-col border-l border-line bg-paper" aria-labelledby="picked">
      <h2 id="picked" className="flex justify-between border-b border-line px-4 py-2.5 font-semibold">
        {view.samples
          ? say('show.samplesAside')
          : picked.length === 0
            ? say('show.noneChosen')
            : say('show.chosen', { Count: countWordFirst(picked.length) })}
        {publishableCount > 0 && (
          <span className="font-normal text-soft">{say('show.ofStock', { stock: publishableCount })}</span>
        )}
      </h2>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {draft.selection.order === 'balanced' && picked.length > 0 && (
          <p className="border-b border-line px-4 py-2 text-[12.5px] text-soft">{say('fair.balancedHow')}</p>
        )}
        <DndContext
          id="picked-reviews"
          sensors={sensors}
          accessibility={spokenMoves(picked.map(({ publicId, name }) => ({ id: publicId, name })))}
          collisionDetection={closestCenter}
          onDragEnd={({ active, over }) => {
            if (!over || active.id === over.id) return
            select(movedTo(draft.selection, ids, String(active.id), ids.indexOf(String(over.id))))
          }}
        >
          <SortableContext items={ids} strategy={verticalListSortingStrategy}>
            <ol data-picked>
              {picked.map((line, i) => (
                <PickedRow
                  key={line.publicId}
                  shop={shop}
                  line={line}
                  place={i}
                  pinned={draft.selection.pins.some(({ review }) => review === line.publicId)}
                  unpin={() => select(unpin(draft.selection, line.publicId))}
                  pin={() => select(movedTo(draft.selection, ids, line.publicId, i))}
                  leaveOut={() => select(leaveOut(draft.selection, line.publicId))}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        <Others
          title={say('show.couldStand')}
          lines={next}
          act={say('show.putIn')}
          choose={(id) => select(pullIn(draft.selection, ids, id))}
        />
        <Others
          title={say('show.leftOutByHand')}
          lines={leftOut}
          act={say('show.takeBackIn')}
          choose={(id) => select(takeBackIn(draft.selection, id))}
          open
        />
      </div>
    </aside>
  )
}

function PickedRow({
  shop,
  line: { publicId, name, rating, words, reason },
  place,
  pinned,
  pin,
  unpin,
  leaveOut,
}: {
  shop: string
  line: PickedLine
  place: number
  pinned: boolean
  pin: () => void
  unpin: () => void
  leaveOut: () => void
}) {
  const sortable = useSortable({ id: publicId })
  const { setNodeRef, transform, transition, isDragging } = sortable
  return (
    <li
      ref={setNodeRef}
      className={`group border-b border-line bg-paper ${isDragging ? 'relative z-10 shadow-lg' : ''}`}
      style={{
        transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined,
        transition,
      }}
    >
      <div className="flex items-start gap-1 py-2 pr-3 pl-1.5 hover:bg-wash">
        <DragHandle sortable={sortable} name={name} place={place} />
        <div className="min-w-0 flex-1">
          <Link to={`/s/${shop}/decide/${publicId}`} className="block">
            <span className="flex items-center gap-2">
              <b className="truncate font-semibold">{name}</b>
              <RatingMark rating={rating} />
            </span>
            <span className="customer-words block truncate text-[14.5px]" dir="auto">
              {words}
            </span>
            {reason && (
              <span className="block text-[12.5px] text-soft" data-reason>
                {reasonText(reason)}
              </span>
            )}
          </Link>
          <span className="flex gap-3 text-[13px]">
            {pinned ? (
              <>
                <span className="text-moss">{say('show.pinned')}</span>
                <RowAct words={say('show.unpin')} name={name} act={unpin} />
              </>
            ) : (
              <RowAct words={say('show.pinHere')} name={name} act={pin} />
            )}
            <RowAct words={say('show.leaveOut')} name={name} act={leaveOut} />
          </span>
        </div>
      </div>
    </li>
  )
}

function reasonText(reason: NonNullable<PickedLine['reason']>): string {
  switch (reason.kind) {
    case 'theme':
      return say('fair.reason.theme', { theme: reason.theme })
    case 'language':
      return say('fair.reason.language', { language: languageName(reason.language) })
    default:
      return say(`fair.reason.${reason.kind}`)
  }
}

function RowAct({ words, name, act }: { words: string; name: string; act: () => void }) {
  return (
    <button
      type="button"
      className="min-h-6 text-petrol underline-offset-2 hover:underline"
      aria-label={`${words}: ${name}`}
      onClick={act}
    >
      {words}
    </button>
  )
}

/** Matching reviews that are not shown, collapsed. */
function Others({
  title,
  lines,
  act,
  choose,
  open = false,
}: {
  title: string
  lines: PickedLine[]
  act: string
  choose: (id: string) => void
  open?: boolean
}) {
  if (lines.length === 0) return null
  return (
    <details open={open} className="border-b border-line">
      <summary className="cursor-pointer px-4 py-2.5 font-semibold text-petrol">{title}</summary>
      <ul>
        {lines.map(({ publicId, name, rating, words }) => (
          <li key={publicId} className="flex items-start gap-2 border-t border-line px-4 py-2">
            <span className="min-w-0 flex-1">
              <span className="flex items-center gap-2">
                <span className="truncate">{name}</span>
                <RatingMark rating={rating} />
              </span>
              <span className="customer-words block truncate text-[14px] text-soft" dir="auto">
                {words}
              </span>
            </span>
            <RowAct words={act} name={name} act={() => choose(publicId)} />
          </li>
        ))}
      </ul>
    </details>
  )
}
