import type { ProposedMax } from './maxes.ts'
import { array, mixed, number, object, string, type InferType } from 'yup'
import type { Enrolment } from '@young-oak/core/member'
import { isExercise, exerciseOf, muscles, type ExerciseId, type Muscle } from '@young-oak/core/library'
import type { Evidence, Finding, Plan } from '@young-oak/core/plan'
import { soreAnswers, workedAnswers, type SessionLog } from '@young-oak/core/member'
import { setStyles, type SetStyle } from '@young-oak/core/template'
import { amountUnits, isDay, type AmountUnit, type Unit } from '@young-oak/core/units'

/** The heaviest load that is taken for a lift rather than for a slip of the thumb. */
export const heaviest: Record<Unit, number> = { kg: 500, lb: 1100 }

export const exercise = () => mixed<ExerciseId>(isExercise)
export const day = () =>
  string().test('day', 'This day does not exist.', (value) => value === undefined || isDay(value))

export const loadFrom = (least: 'something' | 'nothing') =>
  object({
    value: number()
      .typeError('Enter the load as a number.')
      .required('Enter the load.')
      .test('least', 'A load is more than 0.', (value) => (least === 'nothing' ? value >= 0 : value > 0))
      .test('heaviest', (value, context) => {
        const unit = (context.parent as { unit?: Unit }).unit ?? 'kg'
        return (
          value <= heaviest[unit] ||
          context.createError({
            message: `More than ${heaviest[unit]} ${unit} is not taken: check the number.`,
          })
        )
      }),
    unit: mixed<Unit>((value): value is Unit => value === 'kg' || value === 'lb').required(
      'Choose kg or lb.',
    ),
  })

export const loadSchema = loadFrom('something')

/** What is handled beside body weight: it may be nothing, and it may help. Of any other exercise it is neither. */
export const fitsBody = ({
  exercise,
  load,
  help,
}: {
  exercise: ExerciseId
  load?: { value: number }
  help?: true
}): boolean => exerciseOf({ exercise }).tool === 'body weight' || (load?.value !== 0 && !help)
const fitsBodyMessage = 'Only beside body weight may a load be 0, or help.'

export const mark = () => mixed<true>((value): value is true => value === true).optional()

export const repsSchema = number()
  .typeError('Enter the reps as a number.')
  .integer('Reps are whole.')
  .min(0, 'Reps cannot be less than 0.')
  .max(100, 'More than 100 reps is not taken: check the number.')

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
  .test('fitsBody', fitsBodyMessage, fitsBody)
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
      position: number
      attempt?: number
      date: string
      /** Where it is trained; home when it is not said. */
      place?: string
    }
  | { id: string; kind: 'set'; session: string; rev: number; set: GivenSet }
  | { id: string; kind: 'close'; session: string }
  /** What was said of a session; the whole of it each time, under the next revision. */
  | { id: string; kind: 'answers'; session: string; rev: number; answers: GivenAnswers }

/** The envelope; each operation is checked by itself, so that a bad one never blocks the others. */
export const operationsSchema = object({
  operations: array().of(mixed<object>().required()).min(1).max(200).required(),
}).noUnknown()

const id = () => string().uuid().required()
export const operationSchemas = {
  start: object({
    id: id(),
    kind: string().required(),
    enrolment: string().uuid().required(),
    position: number().integer().min(1).max(1000).required(),
    attempt: number().integer().min(1).max(20).optional(),
    date: day().required(),
    place: string().max(80).optional(),
  }).noUnknown(),
  set: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    rev: number().integer().min(1).max(1_000_000).required(),
    set: setSchema.required(),
  }).noUnknown(),
  close: object({ id: id(), kind: string().required(), session: string().max(200).required() }).noUnknown(),
  answers: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    rev: number().integer().min(1).max(1_000_000).required(),
    answers: answersSchema.required(),
  }).noUnknown(),
}

export type OperationAnswer =
  | { id: string; result: 'stored' | 'already had' }
  | { id: string; result: 'conflict'; kept: string }
  | { id: string; result: 'refused'; reason: string }

/** A member's own screen: plans of this week, the sessions that are open, and what is known of them. */
export type TodayView = {
  programs: { enrolment: string; name: string; note?: string; track?: string; plan: Plan }[]
  enrolments: Enrolment[]
  logs: SessionLog[]
  evidence: Evidence
  findings: Finding[]
  /** Maxes that training suggests. */
  proposals: ProposedMax[]
  /** The gym's places; where there are several, or one of the member's own, they say where they train. */
  places: { id: string; name: string }[]
}
