import type { Library } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Place } from '../../calendar/index.ts'
import type { Spot } from '../../adjustments/index.ts'
import type { Starting } from '../../progressions/index.ts'
import type { Need } from '../../loads/index.ts'
import type { ShownSets } from '../../member/index.ts'
import type { Slot, Template } from '../../template/index.ts'
import type { Day } from '../../units/index.ts'
import type { WarmUpSet } from '../../warmups/index.ts'
import type { Authored } from '../compile/changes.ts'
import type { Program } from '../compile/program.ts'
import type { CompiledSlot } from '../compile/slot.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { FoldState } from './state.ts'

/** A slot as it is asked at a place. */
export type Prescribed = {
  id: Id
  slot: Slot
  own: CompiledSlot
  row: number
  deload: boolean
  warmUps?: WarmUpSet[]
  prescriptions: ShownSets[]
  needs: Need[]
  /** What a track makes of a progression's first load here. */
  first: Starting['first']
  /** The changes that act on it, in their order. */
  acting: Authored[]
}

/** Everything a session is prescribed from. */
export type Situation = {
  library: Library
  template: Template
  program: Program
  enrolment: Id
  state: FoldState
  evidence: Evidence
  place: Place
  day: Day
  /** Where adjustments see it. */
  spot: Spot
  changes: Authored[]
  /** Percent on the loads of a first week back; null of any other. */
  back: number | null
  /** Where it is trained; home when absent. */
  at: Id | undefined
}
