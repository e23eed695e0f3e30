import type { Id } from '../../parsing/index.ts'
import { mayAct } from '../../adjustments/index.ts'
import type { Lift } from '../../library/index.ts'
import type { Shown } from '../../member/index.ts'
import { actingOn } from '../compile/changes.ts'
import { slotOf, writtenSlots, type Program } from '../compile/program.ts'
import type { Prescribed, Situation } from '../state/situation.ts'
import { inStage } from './inStage.ts'
import { lineup, type LineChange } from './lineup.ts'
import type { OnTheBar } from './onTheBar.ts'
import { rowAt } from './rows.ts'
import { firstScale, prescribeSlot, warmUpsFor } from './prescribeSlot.ts'

/**
 * One session of the plan: row → source or rule → changes → rounding, for each slot in the order of the session. A slot whose
 * max is missing says so and asks for it; the others stand.
 */
export function prescribe(situation: Situation): { slots: Prescribed[]; changes: LineChange[] } {
  const { spot } = situation
  const changes = situation.changes.filter(({ adjustment }) => mayAct(adjustment.where, spot))
  const { lines, changes: made } = lineup(situation, changes)
  const before: OnTheBar[] = []
  const trained: Lift[] = []
  const slots: Prescribed[] = []
  for (const line of lines) {
    const own = inStage(situation, line.own)
    const stands = own === line.own ? line : { ...line, own }
    const prescribed = prescribeSlot(situation, changes, stands, before)
    const warmUps = warmUpsFor(situation, prescribed, trained)
    if (warmUps?.length) prescribed.warmUps = warmUps
    trained.push(prescribed.slot)
    slots.push(prescribed)
  }
  return { slots, changes: made }
}

/**
 * A session that was shown is taken as it was shown: only its rows are worked out anew.
 */
export function recall(situation: Situation, shown: Shown): Prescribed[] {
  const { library, program, place, changes, spot } = situation
  const recalled: Prescribed[] = []
  for (const id of shownSlots(program, place.session, shown)) {
    const was = shown.slots[id]
    const written = was && slotOf(program, id, was)
    if (!written) continue
    const own = inStage(situation, written)
    const acting = actingOn(changes, library, spot, id, own.slot)
    const made: Prescribed = {
      id,
      slot: own.slot,
      own,
      row: rowAt(situation, own),
      deload: was.deload === true,
      prescriptions: was.sets,
      needs: [],
      first: firstScale(own, acting),
      acting,
    }
    if (was.warmUps) made.warmUps = was.warmUps
    recalled.push(made)
  }
  return recalled
}

/** What was shown, in the order of the session; slots that a track had added stand at the end. */
function shownSlots(program: Program, session: Id, { slots }: Shown): Id[] {
  const order: Id[] = []
  for (const { id } of writtenSlots(program, session)) if (slots[id]) order.push(id)
  const all = Object.keys(slots)
  if (order.length === all.length) return order
  const rest = all.filter((id) => !order.includes(id))
  return [...order, ...rest.sort()]
}
