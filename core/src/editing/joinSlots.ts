import type { Id } from '../parsing/index.ts'
import { liftName, liftOf, type Library } from '../library/index.ts'
import {
  slotsOf,
  spotOf,
  type Circuit,
  type Command,
  type SetPrescription,
  type Slot,
  type Template,
} from '../template/index.ts'
import { isFault, names, noSlot, step, type Built, type Mint } from './built.ts'
import { removal } from './removeSlots.ts'
import { moveSlots } from './slots.ts'

/** Neighbours that alternate: a superset of two, a giant set of more. They are brought together where they stand apart. */
export function joinSlots(library: Library, draft: Template, ids: Id[]): Built {
  const [first, ...others] = ids
  const spot = first === undefined ? null : spotOf(draft, first)
  if (first === undefined || !spot || !others.length)
    return { fault: 'Select two lines or more to join them.' }
  const session = draft.sessions[spot.session]
  if (!session || others.some((id) => !slotsOf(session).includes(id)))
    return { fault: 'Only lines of one session can be joined.' }
  const taken = new Set(
    slotsOf(session).flatMap((id) => (ids.includes(id) ? [] : (draft.slots[id]?.superset ?? []))),
  )
  const prescribed = letters.find((letter) => !taken.has(letter)) as string
  const moved = moveSlots(library, draft, others, { ...spot, after: first })
  const brought = isFault(moved) ? [] : moved.do === 'several' ? moved.commands : [moved]
  const joined = ids.flatMap((slot): Command[] => {
    const from = draft.slots[slot]?.superset ?? null
    return from === prescribed ? [] : [{ do: 'setSlotField', slot, field: 'superset', from, to: prescribed }]
  })
  return step(`Joined: ${names(library, draft, ids)}`, [...brought, ...joined])
}

const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(65 + i))

/** Slots each by itself again. */
export function ungroupSlots(library: Library, draft: Template, ids: Id[]): Built {
  const commands = ids.flatMap((slot): Command[] => {
    const from = draft.slots[slot]?.superset
    return from === undefined ? [] : [{ do: 'setSlotField', slot, field: 'superset', from, to: null }]
  })
  return step(`Parted: ${names(library, draft, ids)}`, commands)
}

/** One scored thing of several slots: each becomes a line of it, with its own lift. Nothing is kept of the rules that they follow. */
export function makeCircuit(
  library: Library,
  draft: Template,
  ids: Id[],
  circuit: Circuit,
  mint: Mint,
): Built {
  const [first] = ids
  const spot = first === undefined ? null : spotOf(draft, first)
  const slots = ids.map((id) => draft.slots[id])
  if (!spot || !slots.every((slot) => slot !== undefined)) return noSlot
  if (slots.some(({ circuit: own }) => own)) return { fault: 'One of these lines is a circuit already.' }
  const ruled = slots.find(({ uses }) => uses.length)
  if (ruled)
    return {
      fault: `${liftName(library, ruled)} uses a progression: a circuit has one score, so it cannot use one.`,
    }
  const others = slots.find(({ by }) => by !== slots[0]?.by)
  if (others)
    return {
      fault:
        'Their rows are chosen in different ways (by week, exposure or day): choose the same way for all lines first.',
    }
  const phases = draft.phases.filter(({ id }) => slots.every(({ rows }) => rows[id]))
  const rows = Object.fromEntries(
    phases.map(({ id }) => {
      const count = Math.max(...slots.map((slot) => slot.rows[id]?.length ?? 0))
      const list = Array.from({ length: count }, (_, row) =>
        slots.flatMap((slot, i) =>
          (slot.rows[id]?.[Math.min(row, (slot.rows[id]?.length ?? 1) - 1)] ?? []).map(
            (prescribed): SetPrescription => ({
              ...prescribed,
              id: `${i + 1}.${prescribed.id}`,
              lift: liftOf(slot),
              sets: 1,
            }),
          ),
        ),
      )
      return [id, list]
    }),
  )
  const removed = removal(library, draft, ids)
  if ('fault' in removed) return removed
  const value: Slot = { ...liftOf(slots[0] as Slot), by: slots[0]?.by ?? 'week', uses: [], circuit, rows }
  return step(`Circuit: ${circuit.name}`, [
    ...removed.commands,
    { do: 'addSlot', slot: mint(), ...spot, value },
  ])
}
