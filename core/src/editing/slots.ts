import type { Id } from '../parsing/index.ts'
import { liftName, type ExerciseId, type Library } from '../library/index.ts'
import { sourceOf } from '../loads/index.ts'
import {
  applyCommand,
  isConflict,
  rowWeeks,
  slotName,
  slotsOf,
  spotOf,
  type Command,
  type SetPrescription,
  type Slot,
  type Spot,
  type Template,
} from '../template/index.ts'
import { names, noSlot, step, type Built, type Mint } from './built.ts'
import { readsSlots } from './reads.ts'

/** A slot with the same sets in every week of every phase that its session has a part in. */
export function newSlot(
  draft: Template,
  session: Id,
  exercise: ExerciseId,
  prescriptions: SetPrescription[],
): Slot {
  const rows: Slot['rows'] = {}
  for (const phase of draft.phases)
    if (phase.rotation.includes(session))
      rows[phase.id] = Array.from({ length: rowWeeks(phase) }, () => prescriptions)
  return { exercise, by: 'week', uses: [], rows }
}

/** Slots to another place, in the order in which they stand. */
export function moveSlots(library: Library, draft: Template, ids: Id[], to: Spot): Built {
  const commands: Command[] = []
  let now = draft
  let after = to.after
  for (const slot of ids) {
    const from = spotOf(now, slot)
    if (!from) return noSlot
    const target = { ...to, after: after === slot ? from.after : after }
    if (JSON.stringify(from) !== JSON.stringify(target)) {
      const command: Command = { do: 'moveSlot', slot, from, to: target }
      const next = applyCommand(now, command)
      if (isConflict(next)) return { fault: next.conflict(library) }
      commands.push(command)
      now = next
    }
    after = slot
  }
  const behind = readsAhead(library, now)
  if (behind) return { fault: behind }
  return step(`Moved: ${names(library, draft, ids)}`, commands)
}

/** A load that follows the top set of another slot needs that slot before it in the same session. */
function readsAhead(library: Library, draft: Template): string | null {
  for (const session of Object.values(draft.sessions)) {
    const order = slotsOf(session)
    for (const [i, id] of order.entries()) {
      const other = readsSlots(draft.slots[id]).find((one) => !order.slice(0, i).includes(one))
      if (other !== undefined)
        return `The load of ${slotName(library, draft, id)} follows ${slotName(library, draft, other)}, which comes before it in the same session.`
    }
  }
  return null
}

/** A slot one line up or down, over the edge of its part into the next. */
export function nudgeSlot(library: Library, draft: Template, slot: Id, by: -1 | 1): Built {
  const from = spotOf(draft, slot)
  const parts = from && draft.sessions[from.session]?.sections
  if (!from || !parts) return noSlot
  const part = parts.findIndex(({ name }) => name === from.section)
  const { slots } = parts[part] as { slots: Id[] }
  const place = slots.indexOf(slot)
  const inside = place + by
  if (inside >= 0 && inside < slots.length)
    return moveSlots(library, draft, [slot], {
      ...from,
      after: (by < 0 ? slots[place - 2] : slots[place + 1]) ?? '',
    })
  const other = parts[part + by]
  if (!other)
    return {
      fault: `${liftName(library, draft.slots[slot] as Slot)} is at the ${by < 0 ? 'top' : 'end'} already.`,
    }
  const after = by < 0 ? (other.slots[other.slots.length - 1] ?? '') : ''
  return moveSlots(library, draft, [slot], { session: from.session, section: other.name, after })
}

/** Copies of slots at a place: they follow the same progressions, under ids of their own. */
export function copySlots(library: Library, draft: Template, ids: Id[], to: Spot, mint: Mint): Built {
  const minted = new Map(ids.map((id) => [id, mint()]))
  let { after } = to
  const commands = ids.flatMap((id): Command[] => {
    const own = draft.slots[id]
    if (!own) return []
    const slot = minted.get(id) as Id
    const value = within(draft, to.session, reading(own, minted))
    const command: Command = { do: 'addSlot', slot, session: to.session, section: to.section, after, value }
    after = slot
    return [command]
  })
  return step(`Copied: ${names(library, draft, ids)}`, commands)
}

/** A slot with rows in the phases that a session takes part in, as it has them or as its last ones are. */
function within({ phases }: Template, session: Id, slot: Slot): Slot {
  const known = Object.values(slot.rows).at(-1) ?? []
  const last = known[known.length - 1] ?? []
  const rows: Slot['rows'] = { ...slot.rows }
  for (const phase of phases)
    if (phase.rotation.includes(session) && !rows[phase.id])
      rows[phase.id] = slot.by === 'week' ? Array.from({ length: rowWeeks(phase) }, () => last) : known
  return { ...slot, rows }
}

/** A copied slot whose loads read copies of the slots that the first one read. */
export function reading(slot: Slot, ids: ReadonlyMap<Id, Id>): Slot {
  const renamed = (prescribed: SetPrescription): SetPrescription => {
    const { slot: other } = sourceOf[prescribed.load.of].reads?.(prescribed.load) ?? {}
    const to = other === undefined ? undefined : ids.get(other)
    return to === undefined
      ? prescribed
      : { ...prescribed, load: { ...prescribed.load, slot: to } as SetPrescription['load'] }
  }
  const rows = Object.entries(slot.rows).map(([phase, list]) => [phase, list.map((row) => row.map(renamed))])
  return { ...slot, rows: Object.fromEntries(rows) }
}
