import type { Place } from '../calendar/places.ts'
import type { Spot } from '../adjustments/where.ts'
import type { Rung } from '../explain/rung.ts'
import type { Need } from '../loads/source.ts'
import type { ShownGroup } from '../member/types.ts'
import type { Id, Slot, Template } from '../template/types.ts'
import type { Day, Load } from '../units/index.ts'
import type { WarmUpSet } from '../warmups/ramp.ts'
import type { Authored } from './changes.ts'
import type { Evidence } from './evidence.ts'
import type { FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  slot: Slot
  row: number
  light: boolean
  warmUps?: WarmUpSet[]
  groups: ShownGroup[]
  needs: Need[]
  /** The load of the slot's progression as it is now, where it has one. */
  ruled?: Load
  /** What a track makes of a progression's first load here. */
  first: { scale: number; rungs: Rung[] }
}

/** Everything a session is prescribed from. */
export type Situation = {
  template: Template
  state: FoldState
  evidence: Evidence
  place: Place
  day: Day
  changes: Authored[]
  /** Where it is trained; home when absent. */
  at?: Id
}

/** Where adjustments see the situation. */
export function spotOf({ place, day }: Situation): Spot {
  const { phase, phaseWeek, toTest, session } = place
  return { phase: phase.id, phaseWeek, toTest, day, session }
}
