import { closestCenter, DndContext } from '@dnd-kit/core'
import { arrayMove, horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable'
import { GripVertical } from 'lucide-react'
import type { Heading } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'
import { spokenMoves, useDragSensors } from '../../components/dragging'

type Block = Heading['order'][number]

/** The order of what stands above the reviews, moved by pointer and keys. */
export default function HeadingOrder({
  order,
  shown,
  set,
}: {
  order: Block[]
  /** Those that are there; the others keep their places. */
  shown: Block[]
  set: (order: Block[]) => void
}) {
  const sensors = useDragSensors()
  const names = shown.map((id) => ({ id, name: say(`display.headingBlock.${id}`) }))
  return (
    <div className="flex flex-wrap items-center gap-2 text-[13px] text-soft">
      {say('heading.order')}
      <DndContext
        id="heading-order"
        sensors={sensors}
        accessibility={spokenMoves(names)}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over && active.id !== over.id)
            set(arrayMove(order, order.indexOf(active.id as Block), order.indexOf(over.id as Block)))
        }}
      >
        <SortableContext items={shown} strategy={horizontalListSortingStrategy}>
          {shown.map((block) => (
            <Chip key={block} block={block} />
          ))}
        </SortableContext>
      </DndContext>
    </div>
  )
}

function Chip({ block }: { block: Block }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: block })
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      className="inline-flex min-h-7 cursor-grab touch-none items-center gap-1 rounded-lg border border-edge bg-paper px-2 text-ink"
      style={{ transform: transform ? `translate3d(${transform.x}px, 0, 0)` : undefined, transition }}
    >
      <GripVertical size={13} aria-hidden="true" />
      {say(`display.headingBlock.${block}`)}
    </button>
  )
}
