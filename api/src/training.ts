import {
  bodyWeightSchema,
  maxSchema,
  type GivenBodyWeight,
  type GivenMax,
  type ProposedMax,
} from './maxes.ts'
import { givenFactSchema, type GivenFact } from './progress.ts'
import { array, mixed, number, object, string, type InferType } from 'yup'
import type { Plan } from '@young-oak/core/plan'
import type { FindingSaid } from '@young-oak/core/checks'
import type { Enrolment, SessionLog, Shown } from '@young-oak/core/member'
import { muscles, type Muscle } from '@young-oak/core/library'
import { day, exercise, fitsBody, fitsBodyMessage, loadFrom, mark, repsSchema } from './fields.ts'
import { shownHere } from './givenShown.ts'
import type { NewVersion } from './publications.ts'
import type { Evidence } from '@young-oak/core/evidence'
import type { Fact } from '@young-oak/core/facts'
import { soreAnswers, workedAnswers } from '@young-oak/core/progressions'
import { setStyles, type SetStyle } from '@young-oak/core/template'
import { isId } from '@young-oak/core/parsing'
import { amountUnits, type AmountUnit } from '@young-oak/core/units'

export const setSchema = object({
  slot: string().max(80).required(),
  n: number().integer().min(1).max(99).required(),
  exercise: exercise().required(),
  variant: string().max(60).optional(),
  state: mixed<'done' | 'failed' | 'notDone'>((v): v is 'done' | 'failed' | 'notDone' =>
    ['done', 'failed', 'notDone'].includes(v as string),
  ).required(),
  load: loadFrom('nothing').default(undefined).optional(),
  help: mark(),
  reps: repsSchema.optional(),
  amount: object({
    value: number()
      .required()
      .min(0, 'An amount is not less than 0.')
      .max(100_000, 'More than 100,000 is not taken.'),
    unit: mixed<AmountUnit>((v): v is AmountUnit => amountUnits.includes(v as AmountUnit)).required(),
  })
    .default(undefined)
    .optional(),
  rir: number().integer().min(0).max(10).optional(),
  assisted: number().integer().min(0).max(100).optional(),
  bands: string().max(60).optional(),
  style: mixed<SetStyle>((v): v is SetStyle => setStyles.includes(v as SetStyle)).optional(),
  option: mark(),
  partial: mark(),
  pain: mark(),
  technique: mixed<'good' | 'poor'>((v): v is 'good' | 'poor' => v === 'good' || v === 'poor').optional(),
})
  .noUnknown()
  .test('fitsBody', fitsBodyMessage, (set, { options }) => fitsBody(set, options.context))
/** The id of a place, where the next session will be trained. */
export const locationId = () =>
  string()
    .test('id', 'Unknown location.', (value) => value === undefined || isId(value))
    .optional()

export type GivenSet = InferType<typeof setSchema>

const byMuscle = <const T extends string>(answers: readonly T[]) =>
  mixed<Partial<Record<Muscle, T>>>(
    (value): value is Partial<Record<Muscle, T>> =>
      typeof value === 'object' &&
      value !== null &&
      Object.entries(value).every(
        ([muscle, answer]) => muscles.includes(muscle as Muscle) && answers.includes(answer as T),
      ),
  ).optional()

export const answersSchema = object({
  hard: number().integer().min(0).max(10).optional(),
  minutes: number().integer().min(1).max(600).optional(),
  worked: byMuscle(workedAnswers),
  sore: byMuscle(soreAnswers),
}).noUnknown()
export type GivenAnswers = InferType<typeof answersSchema>

/**
 * What a phone did, in order: each operation is applied in a transaction of its own and answered by itself, and may be sent
 * again until it has been answered.
 */
export type Operation =
  | {
      id: string
      kind: 'start'
      enrolment: string
      /** As the phone counted it: for whoever reads a log without names. */
      position: number
      attempt?: number
      date: string
      /** Of the phone's day. */
      minute: number
      /** Where it is trained; home when it is not said. */
      location?: string
      /** What stood on the screen: the session is judged by it, and stands at the place that it names. */
      shown: Shown
    }
  /** As builds before snapshots were sent said it: what was shown is worked out by the server. */
  | {
      id: string
      kind: 'startByPosition'
      enrolment: string
      position: number
      attempt?: number
      date: string
      location?: string
    }
  /** `start`: the id of the start that was on the screen. */
  | { id: string; kind: 'set'; session: string; rev: number; start?: string; set: GivenSet }
  | { id: string; kind: 'close'; session: string }
  /** The day of a session that a phone far ahead of the gym's day has started; until then it counts for nothing. */
  | { id: string; kind: 'confirm'; session: string; date: string }
  /** What was said of a session; the whole of it each time, under the next revision. */
  | { id: string; kind: 'answers'; session: string; rev: number; answers: GivenAnswers }
  /** What is entered beside sets, under an id that the phone made; entered twice it is one. */
  | { id: string; kind: 'fact'; entry: string; given: GivenFact }
  | { id: string; kind: 'takeBack'; entry: string; today: string }
  | { id: string; kind: 'max'; entry: string; given: GivenMax }
  | { id: string; kind: 'bodyWeight'; entry: string; given: GivenBodyWeight }

/** The envelope; each operation is checked by itself, so that a bad one never blocks the others. */
export const operationsSchema = object({
  format: number().integer().min(1).optional(),
  operations: array().of(mixed<object>().required()).min(1).max(200).required(),
}).noUnknown()

const id = () => string().uuid().required()
const entryKeys = () => ({
  id: id(),
  kind: string().required(),
  entry: string()
    .max(80)
    .required()
    .test('id', 'This is no id.', (value) => isId(value)),
})
const startKeys = () => ({
  id: id(),
  kind: string().required(),
  enrolment: string().uuid().required(),
  position: number().integer().min(1).max(1000).required(),
  attempt: number().integer().min(1).max(20).optional(),
  date: day().required(),
  location: string().max(80).optional(),
})
export const operationSchemas = {
  start: object({
    ...startKeys(),
    minute: number().integer().min(0).max(1439).required(),
    shown: shownHere(),
  }).noUnknown(),
  startByPosition: object(startKeys()).noUnknown(),
  set: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    rev: number().integer().min(1).max(1_000_000).required(),
    start: string().max(200).optional(),
    set: setSchema.required(),
  }).noUnknown(),
  close: object({ id: id(), kind: string().required(), session: string().max(200).required() }).noUnknown(),
  confirm: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    date: day().required(),
  }).noUnknown(),
  answers: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    rev: number().integer().min(1).max(1_000_000).required(),
    answers: answersSchema.required(),
  }).noUnknown(),
  fact: object({ ...entryKeys(), given: givenFactSchema.required() }).noUnknown(),
  takeBack: object({ ...entryKeys(), today: day().required() }).noUnknown(),
  max: object({ ...entryKeys(), given: maxSchema.required() }).noUnknown(),
  bodyWeight: object({ ...entryKeys(), given: bodyWeightSchema.required() }).noUnknown(),
}

/** Why an operation was refused: a code that a page may act on, and words for people. */
export const refusalCodes = [
  'notUnderstood',
  'notAsExpected',
  'noSuchExercise',
  'notStarted',
  'notOnProgram',
  'noSuchSession',
  'farAhead',
  'notPossible',
  'ourFault',
] as const
export type Refusal = {
  id: string
  result: 'refused'
  code: (typeof refusalCodes)[number]
  reason: string
  /** The faults of what was entered, by its fields. */
  errors?: { path: string; message: string }[]
}

export type OperationAnswer =
  | { id: string; result: 'stored' | 'already had' }
  | { id: string; result: 'conflict'; kept: string }
  | Refusal

/** What was written for a member after a revision; `revision` is the one to ask after next time. */
export type ChangesView = {
  revision: number
  gymRevision: number
  facts: Fact[]
  /** Whole, as they are now. */
  sessions: SessionLog[]
  /** All of them: they need no mark of deletion. */
  enrolments: Enrolment[]
  locations: { id: string; name: string }[]
}
export const sinceSchema = object({
  /** From the beginning where it is left out. It comes in the address, as digits. */
  since: string()
    .matches(/^\d{1,15}$/, 'A revision is a whole number.')
    .optional(),
}).noUnknown()

/** A member's own screen: plans of this week, the sessions that are open, and what is known of them. */
export type TodayView = {
  programs: {
    enrolment: string
    name: string
    note?: string
    track?: string
    /** The program that begins once this one is done. */
    next?: string
    changed?: NewVersion
    plan: Plan
  }[]
  enrolments: Enrolment[]
  logs: SessionLog[]
  evidence: Evidence
  findings: FindingSaid[]
  /** Maxes that training suggests. */
  proposals: ProposedMax[]
  /** Sessions that count for nothing until their day is confirmed: the phone that they were started on was days ahead. */
  unconfirmed: { session: string; name: string; date: string }[]
  /** The gym's places; where there are several, or one of the member's own, they say where they train. */
  locations: { id: string; name: string }[]
}
