import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core'
import { useCallback, type ReactNode } from 'react'
import { copySlots, moveSlots, type Built } from '@young-oak/core/building'
import { spotOf, type Spot } from '@young-oak/core/template'
import { store } from '../../../app/store.ts'
import { mint } from '../mint.ts'

type Props = { onPut: (built: Built) => boolean; children: ReactNode }

/** Slots are dragged by their letter to another place, with Ctrl held a copy of them. It stands around the sheet, so that no key draws it anew. */
export function Dragging({ onPut, children }: Props) {
  const sensors = useSensors(useSensor(PointerSensor, dragFrom))
  const drop = useCallback(
    ({ active, over, activatorEvent }: DragEndEvent) => {
      const to = over?.data.current as Spot | undefined
      const { draft } = store.getState().editor
      const slot = String(active.id)
      if (!to || !draft || to.after === slot || JSON.stringify(spotOf(draft, slot)) === JSON.stringify(to))
        return
      const copies =
        activatorEvent instanceof PointerEvent && (activatorEvent.ctrlKey || activatorEvent.metaKey)
      onPut(copies ? copySlots(draft, [slot], to, mint) : moveSlots(draft, [slot], to))
    },
    [onPut],
  )
  return (
    <DndContext sensors={sensors} onDragEnd={drop} accessibility={spoken}>
      {children}
    </DndContext>
  )
}

const dragFrom = { activationConstraint: { distance: 6 } }
const spoken = { screenReaderInstructions: { draggable: 'Alt and an arrow key move the slot.' } }
