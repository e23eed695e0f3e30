import type { Lift } from '../library/index.ts'
import type { Need } from '../loads/source.ts'
import type { SetLog, ShownGroup } from '../member/types.ts'
import type { Id } from '../template/types.ts'
import type { Day } from '../units/index.ts'
import type { LastTime } from './evidence.ts'
import type { Verdict } from './verdict.ts'

/** The plan of one enrolment: weeks of places, those trained as they were shown, those ahead as they would be today. */
export type Plan = {
  enrolment: Id
  version: Id
  start: Day
  weeks: PlannedWeek[]
  /** The position that comes next, or null when every place is taken. */
  next: number | null
  /** Whether the end of the plan stands in `weeks`. */
  lastWeek: number
}

export type PlannedWeek = {
  week: number
  phase: Id
  phaseName: string
  phaseWeek: number
  light: boolean
  places: PlannedSession[]
}

export type PlannedSession = {
  position: number
  inWeek: number
  session: Id
  name: string
  /** `open` is started and not closed; `ahead` loads assume that every session before them is a hit. */
  status: 'trained' | 'skipped' | 'open' | 'next' | 'ahead'
  date?: Day
  log?: Id
  slots: PlannedSlot[]
}

export type PlannedSlot = Lift & {
  slot: Id
  /** A, B, C1, C2: neighbours of one letter alternate. */
  letter: string
  note?: string
  light: boolean
  groups: ShownGroup[]
  needs: Need[]
  /** The lift's latest session before this one. */
  last?: LastTime
  verdict?: Verdict
  done?: SetLog[]
}

/** Something that the reader of a plan must know: where, what is the matter, what to do. */
export type Finding = { where: string; what: string; next: string }
