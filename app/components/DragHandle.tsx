import type { useSortable } from '@dnd-kit/sortable'
import { GripVertical } from 'lucide-react'
import { say } from '../../core/messages/say/dragging'

/** Where a row of a list is picked up. */
export function DragHandle({
  sortable: { setActivatorNodeRef, attributes, listeners },
  name,
  place,
}: {
  sortable: ReturnType<typeof useSortable>
  name: string
  /** From 0. */
  place: number
}) {
  return (
    <button
      type="button"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={say('dragging.move', { name, place: place + 1 })}
      className="grid h-7 w-6 shrink-0 cursor-grab touch-none place-items-center rounded text-soft hover:text-ink"
    >
      <GripVertical size={15} aria-hidden="true" />
    </button>
  )
}
