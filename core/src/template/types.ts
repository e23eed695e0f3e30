import type { Adjustment } from '../adjustments/index.ts'
import type { Goal } from '../goals/index.ts'
import type { Lift, Muscle } from '../library/index.ts'
import type { LoadBasis } from '../loads/index.ts'
import type { Id } from '../parsing/index.ts'
import type { RepTable } from '../maxes/index.ts'
import type { Stage } from '../progressions/index.ts'
import type { TriggerBasis } from '../triggers/index.ts'
import type { Span, Step, Way } from '../units/index.ts'
import type { WarmUp } from '../warmups/index.ts'

/** A program written once. Sessions, slots and progressions stand outside phases, so that they outlive them. */
export type Template = {
  format: 2
  name: string
  note?: string
  /** Percent of the 1RM that a training max is, 50 to 100; needed where a load is based on one. */
  trainingMax?: number
  /** Which accepted max percents read. */
  maxes: MaxPolicy
  /** What becomes of a week that ends on its date with places left, and of rows that were not trained. */
  missed: Missed
  /** After so many weeks without a session the first week back is lowered by a percent, and is light. */
  away?: { weeks: number; back: number }
  rounding: Way
  /** How loads that a deload has cut are rounded: to the nearest, ties down, where nothing is stated. */
  deloadRounding?: Way
  /** How test singles are rounded: down, where nothing is stated. */
  testRounding?: Way
  /** Whether deloads are the planned ones, come reactive deloads only, or both; both where nothing is stated. */
  deloadPolicy?: DeloadPolicy
  /** Seconds that an X in a tempo counts as in the minutes of a session, 0.2 to 5; 1 where nothing is stated. */
  tempoX?: number
  /** How lifts with a load are ramped up to; not at all where nothing is stated. A slot's own goes before it. */
  warmUp?: WarmUp
  phases: Phase[]
  /** Phases that come after these and are still to be written: a program with such goes on once they are. */
  later?: LaterPhase[]
  sessions: Record<Id, Session>
  slots: Record<Id, Slot>
  progressions: Record<Id, Progression>
  tracks: Record<Id, Track>
}

/**
 * The newest accepted max, or the best that was accepted in the last `weeks` weeks (the newest where there is none). One that
 * is older than `fresh` weeks is read all the same, and said to be old; 16 where nothing is stated.
 */
export type MaxPolicy = ({ use: 'newest' } | { use: 'best'; weeks: number }) & {
  fresh?: number
  /** Percents for reps, where a load is by effort; the handbook's where nothing is stated. */
  table?: RepTable
  /** Lifts tied to another's max until they have one of their own. */
  ratios?: Ratio[]
}

/** A variant, or any lift, at a percent of another lift's max. */
export type Ratio = { lift: Lift; of: Lift; percent: number }

/**
 * On a calendar: `hold` and `drop` give up the places left, `shift` keeps them in the next week, `repeat` does the whole week
 * again. Rows by week wait for the row that was missed, except with `drop`, where each week reads its own.
 */
export const missedPolicies = ['hold', 'drop', 'shift', 'repeat'] as const
export type Missed = (typeof missedPolicies)[number]

/** Whether a program goes by planned deloads, by how members are, or by both; both where it says nothing. */
export const deloadPolicies = ['planned', 'reactive', 'both'] as const
export type DeloadPolicy = (typeof deloadPolicies)[number]

/** Weeks that hold the next `perWeek` places of a rotation of sessions: A B A, then B A B. */
export type Phase = {
  id: Id
  name: string
  weeks: Length
  rotation: Id[]
  perWeek: number
  deloads: Adjustment[]
  /** The phase lasts until the week of the test day, whenever that is; its rows are counted back from it. */
  ends?: 'test day'
  defaults?: Defaults
  layout?: Layout
}

/**
 * On which days sessions lie: on weekdays of their own, or one after the other with days of rest and so many days running at most. It moves
 * dates and no loads.
 */
export type Layout = {
  /** The sessions of the rotation, counted from 1, that a day of rest comes after; named twice for two days. */
  rest?: number[]
  /** The most days of training one after the other, 1 to 6. */
  running?: number
  /** The weekday of each session of the week, 1 for Monday to 7 for Sunday. */
  weekdays?: number[]
  /** Sessions of the week, counted from 1, that have the next one on their own day, so many hours later at least. */
  sameDay?: { first: number; hours: number }[]
}

/** A phase that is left open on purpose, with its length where that is known. */
export type LaterPhase = { name: string; weeks?: number }

/** What the slots of a phase or session inherit where they say nothing of their own; a session's goes before a phase's. */
export type Defaults = Pick<SetPrescription, 'rest' | 'tempo'> & { rir?: number | RirRamp }

/**
 * RIR that falls evenly from the first week of a phase to the last, or over so many `weeks`, and stays there. `after`: so many of these lie before the
 * phase, which was split off from another.
 */
export type RirRamp = { from: number; to: number; weeks?: number; after?: number }

/** So many weeks; or at least so many, until a sign shows, and never more than `most`. */
export type Length = number | { least: number; most: number; until: TriggerBasis & { progression: Id } }

export type Session = { name: string; sections: Section[]; defaults?: Defaults }
/** With `turns` its slots move up one place every so many weeks of the phase, or from place to place of the week. */
export type Section = {
  name: string
  minutes?: number
  slots: Id[]
  rotation?: { by: 'week' | 'day'; every: number }
}

/**
 * After every so many weeks of the phase, places of the week, phases, or exposures of the slot in the plan the next lift has its turn, and
 * after the last the slot's own.
 */
export type SlotRotation = { with: Lift[]; by: (typeof rotationClocks)[number]; every: number }
export const rotationClocks = ['week', 'day', 'phase', 'exposure'] as const

/**
 * What a row is chosen by: the week of the phase; the exposures of the slot in the phase, begun again after the last row; the
 * place in the week; or the weeks to the test day, where the last row is the test week's.
 */
export const rowClocks = ['week', 'exposure', 'day', 'toTest'] as const
export type RowClock = (typeof rowClocks)[number]

/** A place in a session. `rows` holds, for each phase, rows of prescriptions. */
export type Slot = Lift & {
  /** Slots of one letter alternate as a superset. */
  superset?: string
  note?: string
  /** Several only where they write different things. */
  uses: Use[]
  /** Other lifts that take the slot in turn with its own. */
  rotation?: SlotRotation
  /** Other lifts that the member, or the writer for them, may choose for the slot in place of its own. */
  choices?: Lift[]
  by: RowClock
  rows: Record<Id, SetPrescription[][]>
  /** Sets, and a role, that the slot has in place of these once its lift has come to a stage of its progression. */
  inStages?: SlotStage[]
  warmUp?: WarmUp | 'none'
  /** One scored thing made of lines: each prescription is a line with its own lift. */
  circuit?: Circuit
  /** The step by which rows counted back from a test day may pass the heaviest load trained in the phase. */
  capStep?: Step
  /** How much a set counts for a muscle, where that is not what the exercise says: 0 to 1. */
  counts?: Partial<Record<Muscle, number>>
}

/** In every phase: one row, or one for each day of the week. Without a role it keeps the slot's own. */
export type SlotStage = { stage: Id; role?: Use['role']; rows: SetPrescription[][] }

/** Scored by the time that `rounds` take, with a cap if there is one; or by the rounds and reps that fit into `capSeconds`. */
export type Circuit = { name: string; by: 'time' | 'rounds'; rounds?: number; capSeconds?: number }

/** A role by place in the week: the first of the roles at the week's first place, and so on round. */
export type Use = {
  progression: Id
  role: string | { byDay: string[] }
  /** At a percentage below another slot's it counts as a full exposure all the same. */
  full?: true
}

/**
 * A rule for one lift, fed by slots in roles; when its sign shows, each stage but the last hands the lift over. In a phase it may
 * have another rule: what crosses is the max and the last exposure.
 */
export type Progression = { stages: ProgressionStage[]; inPhases?: PhaseRule[] }

export type ProgressionStage = Stage & {
  until?: TriggerBasis
  /** The sign does not hand the lift over by itself: it is offered, and goes on when somebody takes it. */
  offers?: true
  /** A hit without a good technique rating leaves everything as it is. */
  waits?: 'technique'
}

/** A rule that a progression has while a phase lasts. */
export type PhaseRule = { phase: Id } & Omit<Stage, 'id'>

/** The rules that a progression may have, in its stages and in single phases; none where there is no such progression. */
export function rulesOf(progression: Progression | undefined): readonly Omit<Stage, 'id'>[] {
  if (!progression) return noRules
  const { stages, inPhases } = progression
  return inPhases ? [...stages, ...inPhases] : stages
}
const noRules: readonly Omit<Stage, 'id'>[] = []

/** A track: the same template with changes. Each member of it gets them all. */
export type Track = { name: string; changes: Adjustment[] }

/** The cells of a prescription that a rule may write. */
export const fixable = ['sets', 'goal', 'rir'] as const
export type Fixable = (typeof fixable)[number]

/** Sets that are asked alike. Its id is the same in every week, so it names a line through the weeks. */
export type SetPrescription = {
  id: Id
  /** 1 to 30. */
  sets: number
  /** In a circuit, what is lifted in this line. */
  lift?: Lift
  goal: Goal
  load: LoadBasis
  /** A test single rounds down, and may pass the 1RM. */
  kind?: SetKind
  /** More than the 1RM is meant, as in lowering-only work: it needs safeties. */
  over?: true
  /** Reps in reserve (RIR), 0 to 10. */
  rir?: number
  /** What stands as it is written here, where a rule would write its own. Such a row is no step of that rule, and no miss. */
  fixed?: Fixable[]
  /** Seconds after each set, 0 to 1800, or from so many to so many; in a superset after each exercise, and `roundRest` after the round. */
  rest?: Span
  roundRest?: number
  /** Lowering, pause, lifting, pause: four digits, X for as fast as possible. */
  tempo?: string
  /** Each side by itself: the reps are of one side. */
  perSide?: true
  /** Another way of doing it: so many percent of the reps, 10 to 100, in this way: "in a 10 kg vest". The member takes one or the other. */
  option?: SetOption
  style?: SetStyle
  /** Bands or chains on the bar, by name and number: no kilos. */
  bands?: string
  /** So many sets are enough: the member does more or not, or with `stop` the sets end when that sign shows. */
  least?: number
  stop?: string
}

export type SetOption = { percent: number; say: string }

/** What is shown of a prescription just as it is written. */
export type AsWritten = Pick<
  SetPrescription,
  | 'lift'
  | 'kind'
  | 'rest'
  | 'roundRest'
  | 'tempo'
  | 'perSide'
  | 'option'
  | 'style'
  | 'bands'
  | 'least'
  | 'stop'
>

/** How sets are done where it matters to what they tell: the last four say nothing about a max. */
export const setStyles = ['ramp', 'drop', 'speed', 'lowering', 'held', 'partial'] as const
export type SetStyle = (typeof setStyles)[number]
export const setKinds = ['top', 'backOff', 'test'] as const
export type SetKind = (typeof setKinds)[number]

/** Weeks that a phase is laid out with on paper: its least where a sign ends it. */
export const nominalWeeks = ({ weeks }: Phase): number => (typeof weeks === 'number' ? weeks : weeks.least)

/** The phase that a week of the template lies in, and which of its weeks it is, from 1; null past the end. */
export function weekAt({ phases }: Template, week: number): { phase: Phase; phaseWeek: number } | null {
  let before = 0
  for (const phase of phases) {
    const count = nominalWeeks(phase)
    if (week <= before + count) return { phase, phaseWeek: week - before }
    before += count
  }
  return null
}

/** How many rows by week a phase has: one for each week that it may last. */
export const rowWeeks = ({ weeks }: Phase): number => (typeof weeks === 'number' ? weeks : weeks.most)

/** All that is written of a slot's sets, in whatever week and stage. */
export const setsOfSlot = ({ rows, inStages = [] }: Pick<Slot, 'rows' | 'inStages'>): SetPrescription[] => [
  ...Object.values(rows).flat(2),
  ...inStages.flatMap((one) => one.rows.flat()),
]

export const slotsOf = ({ sections: parts }: Session): Id[] => parts.flatMap(({ slots }) => slots)
