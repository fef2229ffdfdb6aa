import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  arrayMove,
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable'
import { GripVertical } from 'lucide-react'
import type { Heading } from '../../../core/display/configuration'
import { say } from '../../../core/messages/say/show'

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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  return (
    <div className="flex flex-wrap items-center gap-2 text-[13px] text-soft">
      {say('heading.order')}
      <DndContext
        id="heading-order"
        sensors={sensors}
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
