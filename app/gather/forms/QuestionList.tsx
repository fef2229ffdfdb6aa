import { closestCenter, DndContext } from '@dnd-kit/core'
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import type { Question } from '../../../core/form/design'
import { DragHandle } from '../../components/DragHandle'
import { spokenMoves, useDragSensors } from '../../components/dragging'
import { PartRow } from './PartRow'

interface QuestionRow {
  id: string
  name: string
  /** What is said at the end of its row. */
  state: string
}

/** The questions in order. They can be moved by pointer and keys. */
export default function QuestionList({
  questions,
  rows,
  order,
  choose,
}: {
  questions: Question[]
  rows: QuestionRow[]
  order: (questions: Question[]) => void
  choose: (id: string) => void
}) {
  const ids = rows.map(({ id }) => id)
  const sensors = useDragSensors()
  return (
    <DndContext
      id="questions"
      sensors={sensors}
      accessibility={spokenMoves(rows)}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id)
          order(arrayMove(questions, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))))
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ul className="-mx-2 mt-1">
          {rows.map((row, place) => (
            <SortableRow key={row.id} row={row} place={place} choose={choose} />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  )
}

function SortableRow({
  row: { id, name, state },
  place,
  choose,
}: {
  row: QuestionRow
  place: number
  choose: (id: string) => void
}) {
  const sortable = useSortable({ id })
  const { setNodeRef, transform, transition, isDragging } = sortable
  return (
    <PartRow
      ref={setNodeRef}
      words={name}
      state={state}
      choose={() => choose(id)}
      before={<DragHandle sortable={sortable} name={name} place={place} />}
      className={isDragging ? 'relative z-10 rounded-lg bg-paper shadow-lg' : ''}
      style={{ transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined, transition }}
    />
  )
}
