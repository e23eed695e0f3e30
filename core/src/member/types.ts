import type { FormulaKind } from '../maxes/registry.ts'
import type { Lift } from '../library/index.ts'
import type { Rung } from '../explain/rung.ts'
import type { Id, Span } from '../template/types.ts'
import type { Day, Fixed, Load, Rack, Unit } from '../units/index.ts'

/** A person in one gym, as the planner sees them: dated facts and logs, in any order of arrival. */
export type Member = { facts: Fact[]; logs: SessionLog[] }

/** What every dated entry carries. Entries are never changed: a correction is a new one that names what it replaces. */
export type Entry = {
  id: Id
  /** Of one id the highest revision wins; of equal ones the greater change id. */
  rev: number
  change?: string
  replaces?: Id
  /** A deletion: the entry, and what it replaces, no longer counts. */
  void?: true
  date: Day
}

export type Fact = Entry & { actsFrom: Day } & FactBody

export type FactBody =
  | MaxFact
  | { kind: 'unit'; unit: Unit }
  /** Which place's equipment "at home" means. */
  | { kind: 'home'; place: Id }
  /** What a place has: barbells and plates, one rack a unit; dumbbells and stacks where they are listed. */
  | { kind: 'equipment'; place: Id; racks: Rack[]; fixed?: Fixed[] }

/** A max in force: tested as a single, or an estimate that somebody accepted, with the set it came from. */
export type MaxFact = {
  kind: 'max'
  load: Load
  reps: number
  how: 'tested' | 'accepted estimate'
  formula?: FormulaKind
} & Lift

export type Enrolment = {
  id: Id
  /** Which version from which day; a session is planned under the segment of its day. */
  segments: { from: Day; version: Id }[]
}

/** One session as it was trained. Its id is made of enrolment, place and attempt, so that two phones make one session. */
export type SessionLog = Entry & {
  enrolment: Id
  position: number
  /** 1 unless the place was trained again. */
  attempt: number
  /** 1st, 2nd … session of its day. */
  ordinal: number
  /** Where it was trained; home when absent. */
  place?: Id
  closed: boolean
  /** What stood on the screen when it was started. Absent for a log from paper. */
  shown?: Shown
  sets: SetLog[]
}

/** One set. A prescribed set's id is made of session, slot and number. */
export type SetLog = {
  id: Id
  rev: number
  change?: string
  void?: true
  slot: Id
  /** Number within the slot, from 1, warm-ups not counted. */
  n: number
  state: 'done' | 'failed' | 'notDone'
  load?: Load
  reps?: number
  rir?: number
} & Lift

/** The snapshot that history keeps: what was asked, on that day's plates, under that version. */
export type Shown = {
  format: 1
  engine: string
  version: Id
  at: { phase: Id; week: number; phaseWeek: number; inWeek: number }
  slots: Record<Id, ShownSlot>
}

export type ShownSlot = Lift & { light?: true; groups: ShownGroup[] }

/** A group of sets as shown: `target` is what the rule meant, `load` what was asked after adjustments on today's plates. */
export type ShownGroup = {
  group: Id
  sets: number
  reps: Span
  plus?: 'last'
  rir?: number
  rest?: number
  target: Load | null
  load: Load | null
  /** The progression's own load that the target came from, where it came from one. */
  ruled?: Load
  /** The plates of one side, heaviest first, for a barbell. */
  side?: number[]
  /** A load was to be given, and what it is based on is missing. */
  missing?: true
  /** Less than meant for want of plates: neither step nor miss. */
  short?: true
  why: Rung[]
}

export const sessionLogId = (enrolment: Id, position: number, attempt: number): Id =>
  `${enrolment}:${position}:${attempt}`
export const setLogId = (session: Id, slot: Id, n: number): Id => `${session}:${slot}:${n}`
