import type { Id } from '../../parsing/index.ts'
import { mayAct } from '../../adjustments/index.ts'
import type { Lift } from '../../library/index.ts'
import type { Shown, ShownSlot } from '../../member/index.ts'
import { slotsOf, type Slot, type Template } from '../../template/index.ts'
import { asLift, lineup, type LineChange } from './lineup.ts'
import type { OnTheBar } from './onTheBar.ts'
import { rowAt } from './rows.ts'
import { firstScale, prescribeSlot, warmUpsFor } from './prescribeSlot.ts'
import { spotOf, type Prescribed, type Situation } from '../state/situation.ts'

/**
 * One session of the plan: row → source or rule → changes → rounding, for each slot in the order of the session. A slot whose
 * max is missing says so and asks for it; the others stand.
 */
export function prescribe(situation: Situation): { slots: Prescribed[]; changes: LineChange[] } {
  const spot = spotOf(situation)
  const changes = situation.changes.filter(({ adjustment }) => mayAct(adjustment.where, spot))
  const { lines, changes: made } = lineup(situation, changes, spot)
  const before: OnTheBar[] = []
  const trained: Lift[] = []
  const slots = lines.map((line) => {
    const prescribed = prescribeSlot(situation, spot, changes, line, before)
    const warmUps = warmUpsFor(situation, prescribed, trained)
    if (warmUps?.length) prescribed.warmUps = warmUps
    trained.push(line.slot)
    return prescribed
  })
  return { slots, changes: made }
}

/**
 * A session that was shown is taken as it was shown: only its rows are worked out anew.
 */
export function recall(situation: Situation, shown: Shown): Prescribed[] {
  const { template, place } = situation
  const spot = spotOf(situation)
  return shownLines(template, place.session, shown).map(({ id, slot, was }) => {
    const row = rowAt(situation, id, slot)
    const first = firstScale(situation, spot, id, slot)
    const deload = was.deload === true
    const made: Prescribed = { id, slot, row, deload, prescriptions: was.sets, needs: [], first }
    if (was.warmUps) made.warmUps = was.warmUps
    return made
  })
}

type ShownLine = { id: Id; slot: Slot; was: ShownSlot }

/** What was shown, in the order of the session; slots that a track had added stand at the end. */
function shownLines({ sessions, slots }: Template, session: Id, shown: Shown): ShownLine[] {
  const own = sessions[session]
  const order = own ? slotsOf(own) : []
  const lines: ShownLine[] = []
  const add = (id: Id): void => {
    const [slot, was] = [slots[id], shown.slots[id]]
    if (slot && was) lines.push({ id, slot: asLift(slot, was), was })
  }
  order.forEach(add)
  const rest = Object.keys(shown.slots).filter((id) => !order.includes(id))
  rest.sort().forEach(add)
  return lines
}
