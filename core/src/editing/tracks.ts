import type { Adjustment } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import { liftName, type Library } from '../library/index.ts'
import { sayAdjustment, slotsOf, spotOf, type Command, type Template } from '../template/index.ts'
import { noSlot, step, type Built, type Mint } from './built.ts'

/** A slot out of its session and into one track alone, behind the slot that stood before it. */
export function onlyInTrack(library: Library, draft: Template, slot: Id, track: Id, mint: Mint): Built {
  const spot = spotOf(draft, slot)
  const own = draft.slots[slot]
  const name = draft.tracks[track]?.name
  if (!spot || !own || name === undefined) return noSlot
  const order = slotsOf(draft.sessions[spot.session] ?? { name: '', sections: [] })
  const after = order[order.indexOf(slot) - 1]
  if (after === undefined)
    return {
      fault: `${liftName(library, own)} is the first of its session: an exercise of a track comes after another. Move it down first.`,
    }
  const to = { id: mint(), do: { kind: 'add' as const, slot, after }, where: {} }
  const commands: Command[] = [
    { do: 'moveSlot', slot, from: spot, to: null },
    { do: 'setChange', track, change: to.id, from: null, to },
  ]
  return step(`${liftName(library, own)} only in ${name}`, commands)
}

/** A change out of a track. A slot that only this put in goes back into its session, for all: nothing is lost. */
export function removeChange(library: Library, draft: Template, track: Id, change: Id): Built {
  const changes = draft.tracks[track]?.changes ?? []
  const at = changes.findIndex(({ id }) => id === change)
  const from = changes[at]
  if (!from) return { fault: 'This change is no longer there.' }
  const { where, what } = sayAdjustment(library, draft, from)
  return step(`${draft.tracks[track]?.name}: ${where}, ${what}, removed`, [
    { do: 'setChange', track, change, after: changes[at - 1]?.id ?? '', from, to: null },
    ...backForAll(draft, track, [from]),
  ])
}

/** A whole track; the slots that it alone had go back into their sessions. */
export function removeTrack(draft: Template, track: Id): Built {
  const from = draft.tracks[track]
  if (!from) return { fault: 'This track is no longer there.' }
  return step(`Track removed: ${from.name}`, [
    { do: 'setTrack', track, from, to: null },
    ...backForAll(draft, track, from.changes),
  ])
}

function backForAll(draft: Template, track: Id, gone: Adjustment[]): Command[] {
  const stays = Object.entries(draft.tracks).flatMap(([id, { changes }]) =>
    changes.filter((one) => id !== track || !gone.includes(one)),
  )
  return gone.flatMap(({ do: change }): Command[] => {
    if (change.kind !== 'add' || spotOf(draft, change.slot) || !draft.slots[change.slot]) return []
    if (stays.some(({ do: other }) => other.kind === 'add' && other.slot === change.slot)) return []
    const before = spotOf(draft, change.after)
    return before
      ? [{ do: 'moveSlot', slot: change.slot, from: null, to: { ...before, after: change.after } }]
      : []
  })
}
