import { KeyboardSensor, PointerSensor, useSensor, useSensors, type Announcements } from '@dnd-kit/core'
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable'
import { say } from '../../core/messages/say/dragging'

/** A pointer that moves this far drags; less is a click. */
const DRAG_PX = 4

/** Things are moved by pointer and by keys. */
export const useDragSensors = () =>
  useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )

/** What screen readers hear while one of the things in an order is moved. */
export function spokenMoves(order: { id: string; name: string }[]) {
  const name = (id: unknown) => order.find((one) => one.id === id)?.name ?? ''
  const place = (id: unknown) => order.findIndex((one) => one.id === id) + 1
  const at = (key: 'dragging.moved' | 'dragging.putAt', id: unknown, over: unknown) =>
    say(key, { name: name(id), place: place(over), count: order.length })
  return {
    screenReaderInstructions: { draggable: say('dragging.how') },
    announcements: {
      onDragStart: ({ active }) => say('dragging.held', { name: name(active.id), place: place(active.id) }),
      onDragOver: ({ active, over }) => (over ? at('dragging.moved', active.id, over.id) : undefined),
      onDragEnd: ({ active, over }) => (over ? at('dragging.putAt', active.id, over.id) : undefined),
      onDragCancel: ({ active }) => say('dragging.notMoved', { name: name(active.id) }),
    } satisfies Announcements,
  }
}
