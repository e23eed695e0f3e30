import { EllipsisVertical } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { exercises, exerciseIds, liftName, type ExerciseId } from '@young-oak/core/library'
import { type Command, type Slot, type Template } from '@young-oak/core/template'
import { useAppDispatch } from '../../app/store.ts'
import { Modal } from '../../ui/Modal.tsx'
import { DetailsDialog } from './DetailsDialog.tsx'
import { edit } from './editorSlice.ts'
import { SlotRulesDialog } from './SlotRulesDialog.tsx'

type Props = {
  draft: Template
  slotId: string
  session: string
  phase: string
  row: number
  /** Opens what all weeks of the slot come to. */
  onForesee: () => void
}

/** What can be done with a slot as a whole. Ids are minted once: a removed slot comes back only by undo. */
export function SlotMenu({ draft, slotId, session, phase, row, onForesee }: Props) {
  const dispatch = useAppDispatch()
  const [choosing, setChoosing] = useState<'change' | 'add' | null>(null)
  const [isDetailed, setDetailed] = useState(false)
  const [isRuling, setRuling] = useState(false)
  const slot = draft.slots[slotId]
  if (!slot) return null
  const order = draft.sessions[session]?.parts.find((part) => part.slots.includes(slotId))?.slots ?? []
  const choose = (exercise: ExerciseId) => {
    const command: Command =
      choosing === 'add'
        ? {
            do: 'addSlot',
            slot: `slot-${crypto.randomUUID().slice(0, 8)}`,
            session,
            after: slotId,
            value: newSlot(slot, exercise),
          }
        : { do: 'setExercise', slot: slotId, from: liftOf(slot), to: { exercise } }
    dispatch(edit(command))
    setChoosing(null)
  }
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`More for ${liftName(slot)}`}
          className="rounded p-1 text-bark hover:bg-leaf-wash"
        >
          <EllipsisVertical size={15} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            className="z-50 rounded-md border border-edge bg-sheet p-1 text-ink shadow"
            onKeyDown={(event) => event.stopPropagation()}
          >
            <Item onSelect={() => setDetailed(true)}>Details: tempo, sides, bands …</Item>
            <Item onSelect={() => setChoosing('change')}>Change the exercise …</Item>
            <Item onSelect={() => setChoosing('add')}>Add a slot below …</Item>
            <Item onSelect={() => setRuling(true)}>Rules and lifts in turn …</Item>
            <Item onSelect={onForesee}>What all its weeks come to …</Item>
            <Item
              isDisabled={order.length < 2 || order[0] === slotId}
              onSelect={() =>
                dispatch(
                  edit({
                    do: 'removeSlot',
                    slot: slotId,
                    session,
                    after: order[order.indexOf(slotId) - 1] ?? '',
                    value: slot,
                  }),
                )
              }
            >
              Remove this slot
            </Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <SlotRulesDialog draft={draft} slotId={slotId} isOpen={isRuling} onClose={() => setRuling(false)} />
      <DetailsDialog
        draft={draft}
        slotId={slotId}
        phase={phase}
        row={row}
        isOpen={isDetailed}
        onClose={() => setDetailed(false)}
      />
      <Modal
        title={choosing === 'add' ? 'Add a slot' : 'Change the exercise'}
        isOpen={choosing !== null}
        onClose={() => setChoosing(null)}
      >
        <ExerciseList onChoose={choose} />
      </Modal>
    </>
  )
}

function Item({
  onSelect,
  isDisabled,
  children,
}: {
  onSelect: () => void
  isDisabled?: boolean
  children: string
}) {
  return (
    <DropdownMenu.Item
      disabled={isDisabled}
      onSelect={onSelect}
      className="cursor-pointer rounded px-3 py-1.5 data-disabled:opacity-40 data-highlighted:bg-leaf-wash"
    >
      {children}
    </DropdownMenu.Item>
  )
}

function ExerciseList({ onChoose }: { onChoose: (id: ExerciseId) => void }) {
  const [typed, setTyped] = useState('')
  const fitting = exerciseIds.filter((id) =>
    exercises[id].name.toLowerCase().includes(typed.trim().toLowerCase()),
  )
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        if (fitting[0]) onChoose(fitting[0])
      }}
    >
      <input
        autoFocus
        aria-label="Find an exercise"
        placeholder="Find an exercise"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="h-10 w-full rounded-md border border-edge bg-paper px-3"
      />
      <ul className="mt-3 max-h-80 overflow-y-auto">
        {fitting.map((id) => (
          <li key={id}>
            <button
              type="button"
              onClick={() => onChoose(id)}
              className="flex w-full justify-between rounded px-2 py-1.5 text-left hover:bg-leaf-wash"
            >
              {exercises[id].name}
              <span className="text-sm text-bark">{exercises[id].pattern}</span>
            </button>
          </li>
        ))}
        {fitting.length === 0 && <li className="py-2 text-bark">No exercise of that name.</li>}
      </ul>
    </form>
  )
}

const liftOf = ({ exercise, variant }: Slot) => ({ exercise, ...(variant && { variant }) })

/** A plain slot with as many weeks as its neighbour has, in every phase. */
function newSlot(beside: Slot, exercise: ExerciseId): Slot {
  const group = { id: 'work', sets: 3, goal: { reps: 8 }, load: { of: 'free' as const }, rest: 90 }
  const rows = Object.fromEntries(
    Object.entries(beside.rows).map(([phase, list]) => [phase, list.map(() => [group])]),
  )
  return { exercise, by: 'week', follows: [], rows }
}
