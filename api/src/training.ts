import { array, mixed, number, object, string, type InferType } from 'yup'
import type { Enrolment } from '@young-oak/core/member'
import { exerciseIds, exerciseOf, type ExerciseId, type Lift } from '@young-oak/core/library'
import { formulaKinds, mostInReserve, mostRepsWarned, type FormulaKind } from '@young-oak/core/maxes'
import type { Evidence, Finding, Plan, Proposal } from '@young-oak/core/plan'
import type { SessionLog } from '@young-oak/core/member'
import { setStyles, type SetStyle } from '@young-oak/core/template'
import { amountUnits, isDay, type AmountUnit, type Load, type Unit } from '@young-oak/core/units'

/** The heaviest load that is taken for a lift rather than for a slip of the thumb. */
export const heaviest: Record<Unit, number> = { kg: 500, lb: 1100 }

const exercise = () =>
  mixed<ExerciseId>((value): value is ExerciseId => exerciseIds.includes(value as ExerciseId))
const day = () =>
  string().test('day', 'This day does not exist.', (value) => value === undefined || isDay(value))

const loadFrom = (least: 'something' | 'nothing') =>
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
const fitsBody = ({
  exercise,
  load,
  help,
}: {
  exercise: ExerciseId
  load?: { value: number }
  help?: true
}): boolean => exerciseOf({ exercise }).tool === 'body weight' || (load?.value !== 0 && !help)
const fitsBodyMessage = 'Only beside body weight may a load be 0, or help.'

const mark = () => mixed<true>((value): value is true => value === true).optional()

export const repsSchema = number()
  .typeError('Enter the reps as a number.')
  .integer('Reps are whole.')
  .min(0, 'Reps cannot be less than 0.')
  .max(100, 'More than 100 reps is not taken: check the number.')

export const maxSchema = object({
  exercise: exercise().required('Choose a lift.'),
  variant: string().max(60).optional(),
  load: loadFrom('nothing').required(),
  help: mark(),
  reps: repsSchema
    .required('Enter the reps.')
    .min(1, 'At least one rep.')
    .max(mostRepsWarned, `An estimate takes at most ${mostRepsWarned} reps: use a heavier set.`),
  rir: number()
    .typeError('Enter the reps left as a number.')
    .integer('Reps are whole.')
    .min(0, 'Reps left cannot be less than 0.')
    .max(mostInReserve, `More than ${mostInReserve} left is not trusted: use a harder set.`)
    .optional(),
  formula: mixed<FormulaKind>((value): value is FormulaKind =>
    formulaKinds.includes(value as FormulaKind),
  ).required(),
  date: day().required(),
  today: day().required(),
  /** Taken although it is lower than the max in force. */
  accepted: mark(),
})
  .noUnknown()
  .test('fitsBody', '', (given, { createError }) =>
    fitsBody(given) ? true : createError({ path: 'load.value', message: 'A load is more than 0.' }),
  )
  .test('counted', '', ({ reps, rir = 0 }, { createError }) =>
    rir === 0 || reps + rir <= mostRepsWarned
      ? true
      : createError({
          path: 'rir',
          message: `Reps and those left are more than ${mostRepsWarned} together: use a heavier set.`,
        }),
  )
export type GivenMax = InferType<typeof maxSchema>

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
  partial: mark(),
  pain: mark(),
})
  .noUnknown()
  .test('fitsBody', fitsBodyMessage, fitsBody)
export type GivenSet = InferType<typeof setSchema>

/**
 * What a phone did, in order: each operation is applied in a transaction of its own and answered by itself, and may be sent
 * again until it has been answered.
 */
export type Operation =
  | { id: string; kind: 'start'; enrolment: string; position: number; attempt?: number; date: string }
  | { id: string; kind: 'set'; session: string; rev: number; set: GivenSet }
  | { id: string; kind: 'close'; session: string }

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
  }).noUnknown(),
  set: object({
    id: id(),
    kind: string().required(),
    session: string().max(200).required(),
    rev: number().integer().min(1).max(1_000_000).required(),
    set: setSchema.required(),
  }).noUnknown(),
  close: object({ id: id(), kind: string().required(), session: string().max(200).required() }).noUnknown(),
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
}

export type MaxesView = {
  unit: Unit
  /** In force, each with those that were before it, newest first. */
  maxes: (Lift & KnownMax & { staleWeeks?: number; before: KnownMax[] })[]
  /** What training or a lower test suggests, until it is accepted. */
  proposals: (Lift & Omit<Proposal, 'lift'>)[]
  /** Lifts that a current program needs a max of, and has none. */
  needed: Lift[]
}

/** An accepted max, with the set that it was estimated from. */
export type KnownMax = {
  load: Load
  date: string
  from?: { load: Load; reps: number; rir?: number; formula: FormulaKind }
}
