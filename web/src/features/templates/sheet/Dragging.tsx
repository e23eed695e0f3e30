import { useLibrary } from '../../library/useLibrary.ts'
import type { Library } from '@young-oak/core/library'
import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core'
import { useCallback, type ReactNode } from 'react'
import { copySession, copySlots, moveSlots, placeSession, type Built } from '@young-oak/core/editing'
import { spotOf, type Spot, type Template } from '@young-oak/core/template'
import { store } from '../../../app/store.ts'
import { mint } from '../mint.ts'

type Props = { onPut: (built: Built) => boolean; children: ReactNode }

/** A session of the week, as it is dragged by its number onto another one. */
export type DraggedSession = { phase: string; session: string }

/** Slots are dragged by their letter to another place, sessions by their number, with Ctrl held a copy of them. It stands around the sheet, so that no key draws it anew. */
export function Dragging({ onPut, children }: Props) {
  const library = useLibrary()
  const sensors = useSensors(useSensor(PointerSensor, dragFrom))
  const drop = useCallback(
    ({ active, over, activatorEvent }: DragEndEvent) => {
      const to = over?.data.current as Spot | DraggedSession | undefined
      const { draft } = store.getState().editor
      const copies =
        activatorEvent instanceof PointerEvent && (activatorEvent.ctrlKey || activatorEvent.metaKey)
      const session = active.data.current as DraggedSession | undefined
      if (!to || !draft) return
      const built =
        'after' in to
          ? session === undefined && dropSlot(library, draft, String(active.id), to, copies)
          : session?.session !== undefined && dropSession(draft, session, to, copies)
      if (built) onPut(built)
    },
    [library, onPut],
  )
  return (
    <DndContext sensors={sensors} onDragEnd={drop} accessibility={spoken}>
      {children}
    </DndContext>
  )
}

const dragFrom = { activationConstraint: { distance: 6 } }
const spoken = { screenReaderInstructions: { draggable: 'Alt and an arrow key move the exercise.' } }

function dropSlot(library: Library, draft: Template, slot: string, to: Spot, copies: boolean): Built | false {
  if (to.after === slot || JSON.stringify(spotOf(draft, slot)) === JSON.stringify(to)) return false
  return copies ? copySlots(library, draft, [slot], to, mint) : moveSlots(library, draft, [slot], to)
}

/** The session takes the place of the one that it is dropped on, which makes room. */
function dropSession(
  draft: Template,
  { phase, session }: DraggedSession,
  to: DraggedSession,
  copies: boolean,
): Built | false {
  const at = draft.phases.find(({ id }) => id === phase)?.rotation.indexOf(to.session) ?? -1
  if (to.phase !== phase || at < 0 || (to.session === session && !copies)) return false
  return copies ? copySession(draft, session, phase, mint, at + 1) : placeSession(draft, phase, session, at)
}
