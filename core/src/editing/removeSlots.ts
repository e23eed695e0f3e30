import type { Library } from '../library/index.ts'
import type { Id } from '../parsing/index.ts'
import { changeOf } from '../adjustments/index.ts'
import { sourceOf } from '../loads/index.ts'
import {
  applyCommand,
  isConflict,
  slotName,
  spotOf,
  type Command,
  type Use,
  type Template,
  setsOfSlot,
} from '../template/index.ts'
import { names, noSlot, step, type Built } from './built.ts'
import { changesOf } from './phaseFollowers.ts'
import { readsSlots } from './reads.ts'

export function removeSlots(library: Library, draft: Template, ids: Id[]): Built {
  const removed = removal(library, draft, ids)
  return 'fault' in removed ? removed : step(`Removed: ${names(library, draft, ids)}`, removed.commands)
}

/** The commands that take slots away with what speaks of them, and progressions that nobody else follows; or what still needs them. */
export function removal(
  library: Library,
  draft: Template,
  ids: Id[],
): { commands: Command[] } | { fault: string } {
  const goes = new Set(ids)
  for (const [id, slot] of Object.entries(draft.slots)) {
    if (goes.has(id)) continue
    const reads = readsSlots(slot).find((other) => goes.has(other))
    if (reads !== undefined)
      return {
        fault: `The load of ${slotName(library, draft, id)} is based on ${slotName(library, draft, reads)}. Choose another basis for the load first.`,
      }
  }
  const unfed = roleWithout(library, draft, goes)
  if (unfed) return { fault: unfed }
  const changes = changesOf(draft, (one) => {
    if (changeOf[one.do.kind].names?.(one.do).some((id) => goes.has(id))) return []
    if (!one.where.slots?.some((id) => goes.has(id))) return [one]
    const slots = one.where.slots.filter((id) => !goes.has(id))
    return slots.length ? [{ ...one, where: { ...one.where, slots } }] : []
  })
  const deload = draft.phases.flatMap(({ id, deloads: from }): Command[] => {
    const to = from.flatMap((one) => {
      const slots = one.where.slots?.filter((slot) => !goes.has(slot))
      if (!slots || slots.length === one.where.slots?.length) return [one]
      return slots.length ? [{ ...one, where: { ...one.where, slots } }] : []
    })
    return to.length === from.length && to.every((one, i) => one === from[i])
      ? []
      : [{ do: 'setDeloads', phase: id, from, to }]
  })
  const commands: Command[] = [...changes, ...deload]
  let now = draft
  for (const id of [...ids].reverse()) {
    const spot = spotOf(now, id)
    const value = now.slots[id]
    if (!spot || !value) return noSlot
    const command: Command = { do: 'removeSlot', slot: id, ...spot, value }
    commands.push(command)
    const next = applyCommand(now, command)
    if (isConflict(next)) return { fault: next.conflict(library) }
    now = next
  }
  for (const [session, { sections: from }] of Object.entries(now.sessions)) {
    const to = from.map(({ rotation: turns, ...part }) =>
      turns && part.slots.length > 1 ? { ...part, turns } : part,
    )
    if (from.some(({ rotation: turns, slots }) => turns && slots.length < 2))
      commands.push({ do: 'setSections', session, from, to })
  }
  const followed = new Set(Object.values(now.slots).flatMap(({ uses }) => uses.map((one) => one.progression)))
  const left = ids.flatMap((id) => draft.slots[id]?.uses.map((one) => one.progression) ?? [])
  for (const progression of new Set(left)) {
    const from = draft.progressions[progression]
    const until = draft.phases.find(
      ({ weeks }) => typeof weeks === 'object' && weeks.until.progression === progression,
    )
    if (until && !followed.has(progression))
      return { fault: `${until.name} ends with a trigger of this lift. Give the phase fixed weeks first.` }
    if (from && !followed.has(progression))
      commands.push({ do: 'setProgression', progression, from, to: null })
  }
  return { commands }
}

/** A load that is a part of another day’s needs a slot that trains that day’s role. */
function roleWithout(library: Library, draft: Template, goes: ReadonlySet<Id>): string | null {
  const stays = Object.entries(draft.slots).filter(([id]) => !goes.has(id))
  const gone = [...goes].flatMap((id) => draft.slots[id]?.uses ?? [])
  const rolesOf = ({ role }: Use) => (typeof role === 'string' ? [role] : role.byDay)
  for (const [id, slot] of stays)
    for (const { load } of setsOfSlot(slot)) {
      const role = sourceOf[load.of].readsRole?.(load)
      if (role === undefined) continue
      const own = new Set(slot.uses.map(({ progression }) => progression))
      const feeds = (follow: Use) => own.has(follow.progression) && rolesOf(follow).includes(role)
      if (gone.some(feeds) && !stays.some(([, other]) => other.uses.some(feeds)))
        return `The load of ${slotName(library, draft, id)} is a share of the ${role} day’s. Choose another basis for the load first.`
    }
  return null
}
