import type { ObjectSchema } from 'yup'
import type { Fields, Messages, WhyStep } from '../words/index.ts'
import type { Lift, Library } from '../library/index.ts'
import type { Span, Step } from '../units/index.ts'

/** What a week holds: so many places of a rotation of sessions. */
export type WeekDraft = { rotation: string[]; perWeek: number }

/** A slot in the order of its session; `lift` where it is another one than the template's. */
export type LineDraft = { id: string; lift?: Lift }

/** A prescription on its way to the bar: changes act on it after the rule, before rounding. */
export type SetsDraft = {
  sets: number
  /** Percent of the base, null where there is no load. */
  percent: number | null
  /** Factor on the load in percent, 100 unless changed. */
  scale: number
  rir?: number
  /** The load is body weight with something on top, or with help. */
  isOnBody?: true
  /** Factor on what is added to body weight alone, in percent; 100 where absent. */
  added?: number
  /** Plain reps of each set, where they are asked. */
  reps?: Span
  /** The most that may be asked, and who says so. */
  cap?: { at: Step; author: string }
}

/** What a change made of something, and the rung that says it at once; null where it leaves it alone. */
export type Changed<T> = { now: T; step?: WhyStep } | null

/**
 * One way of changing what is asked. One file a change, file name = export = `kind`. Tracks, deloads, short sessions and
 * members' custom changes are lists of them; `author` says whose. None enters a progression's state. A change acts on the
 * one level whose hook it has.
 */
export type ChangeKind<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** What its parameters are called, each with its unit and a hint. */
  fields: Fields
  /** True when it lowers something and raises nothing: what a deload may hold. */
  lightens(params: P): boolean
  /** True where it scales loads: a track's then acts on percents of a max and on a rule's first load, never on a running one. */
  scalesLoads?: true
  /** True where it acts only on loads that are written as a percentage. */
  onPercentages?: true
  /** Slots that it names beside its `where`. */
  names?(params: P): string[]
  /** "load −10%". */
  sentence(params: P, library: Library): string
  onWeek?(week: WeekDraft, params: P, author: string): Changed<WeekDraft>
  onSession?(lines: LineDraft[], params: P, author: string): Changed<LineDraft[]>
  /** The slot's line as changed, or `now: null` where it falls away. */
  onSlot?(line: LineDraft, params: P, author: string, library: Library): Changed<LineDraft | null>
  onSets?(prescribed: SetsDraft, params: P, author: string): Changed<SetsDraft>
  messages: Messages
  examples: ChangeExample<P>[]
}

/** What a change makes of a week, a session's lines, a slot's line or a prescription; `want` null where it leaves it alone. */
export type ChangeExample<P> = { say: string; params: P } & (
  | { week: WeekDraft; want: WeekDraft | null }
  | { session: LineDraft[]; want: LineDraft[] | null }
  | { slot: LineDraft; want: LineDraft | null | 'gone' }
  | { prescribed: SetsDraft; want: SetsDraft | null }
)

export const defineChange = <P>(change: ChangeKind<P>): ChangeKind<P> => change

/** What a track's change makes of tests and heavy singles: they stay the same for all where nothing is stated. */
export const singlesChoices = ['same', 'changed'] as const
export const singlesWords: Fields[string] = {
  label: 'Tests and heavy singles',
  unit: null,
  hint: 'In a track: whether they change too, or stay the same for everyone.',
  choices: { '': 'the same for everyone', same: 'the same for everyone', changed: 'changed too' },
  isRare: true,
}

/** "−10", "+5": with a true minus sign. */
export const signed = (value: number): string => (value < 0 ? `−${-value}` : `+${value}`)
