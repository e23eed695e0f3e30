import { liftName } from '../library/index.ts'
import { slotsOf, spotOf, type Command, type Id, type Template } from '../template/index.ts'
import { noSlot, step, type Built, type Mint } from './built.ts'

/** A slot out of its session and into one track alone, behind the slot that stood before it. */
export function onlyInTrack(draft: Template, slot: Id, track: Id, mint: Mint): Built {
  const spot = spotOf(draft, slot)
  const own = draft.slots[slot]
  const name = draft.tracks[track]?.name
  if (!spot || !own || name === undefined) return noSlot
  const order = slotsOf(draft.sessions[spot.session] ?? { name: '', parts: [] })
  const after = order[order.indexOf(slot) - 1]
  if (after === undefined)
    return {
      fault: `${liftName(own)} is the first of its session: a slot of a track stands behind another. Move it down first.`,
    }
  const to = { id: mint(), do: { kind: 'add' as const, slot, after }, where: {} }
  const commands: Command[] = [
    { do: 'moveSlot', slot, from: spot, to: null },
    { do: 'setChange', track, change: to.id, from: null, to },
  ]
  return step(`${liftName(own)} only in ${name}`, commands)
}
