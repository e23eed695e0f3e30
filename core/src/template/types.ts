import type { Change } from '../adjustments/registry.ts'
import type { Lift } from '../library/index.ts'
import type { LoadBasis } from '../loads/registry.ts'
import type { Stage } from '../progressions/registry.ts'
import type { Way } from '../units/index.ts'

/** Minted once, never reused; moving keeps it, copying mints a new one. */
export type Id = string

/** A program written once. Sessions, slots and progressions stand outside phases, so that they outlive them. */
export type Template = {
  format: 1
  name: string
  note?: string
  /** Percent of the 1RM that a training max is, 50 to 100; needed where a load is based on one. */
  trainingMax?: number
  /** What a week that was not trained does to rows by week: `hold` reads the row that was missed, `drop` goes on. */
  missed: 'hold' | 'drop'
  rounding: Way
  phases: Phase[]
  sessions: Record<Id, Session>
  slots: Record<Id, Slot>
  progressions: Record<Id, Progression>
}

/** Weeks that hold the next `perWeek` places of a rotation of sessions: A B A, then B A B. */
export type Phase = {
  id: Id
  name: string
  weeks: number
  rotation: Id[]
  perWeek: number
  light: Adjustment[]
}

export type Session = { name: string; parts: Part[] }
export type Part = { name: string; minutes?: number; slots: Id[] }

/** A place in a session. `rows` holds, for each phase, the groups of sets of each of its weeks. */
export type Slot = Lift & {
  /** Slots of one letter alternate as a superset. */
  group?: string
  note?: string
  follows?: { progression: Id; role: string }
  by: 'week'
  rows: Record<Id, SetGroup[][]>
}

/** A rule for one lift, fed by slots in roles; each stage hands the lift over to the next. */
export type Progression = { stages: Stage[] }

/** Sets that are asked alike. Its id is the same in every week, so it names a line through the weeks. */
export type SetGroup = {
  id: Id
  /** 1 to 30. */
  sets: number
  goal: Goal
  load: LoadBasis
  /** Reps left in reserve, 0 to 10. */
  rir?: number
  /** Seconds, 0 to 1800. */
  rest?: number
}

/** Reps of each set; with `plus`, the last set takes as many good reps as possible beyond them. */
export type Goal = { reps: Span; plus?: 'last' }
export type Span = number | { from: number; to: number }

/** A change and where it acts. Tracks, light weeks and members' own changes are lists of them. */
export type Adjustment = { id: Id; do: Change; where: Where }

/** Absent means everywhere; `weeks` counts within the phase, from 1. */
export type Where = { weeks?: number[]; sessions?: Id[]; slots?: Id[]; lifts?: Lift[] }

export const lowest = (span: Span): number => (typeof span === 'number' ? span : span.from)

/** "5", "8-10". */
export const formatSpan = (span: Span): string =>
  typeof span === 'number' ? String(span) : `${span.from}-${span.to}`
