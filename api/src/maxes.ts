import { day, exercise, fitsBody, loadFrom, loadSchema, mark, repsSchema } from './fields.ts'
import {
  array,
  mixed,
  number,
  object,
  string,
  type InferType,
  type TestContext,
  type ValidationError,
} from 'yup'
import type { Proposal, SetSeen } from '@young-oak/core/evidence'
import type { KnownRow, MaxRow } from '@young-oak/core/parsing'
import type { Lift } from '@young-oak/core/library'
import { formulaKinds, mostInReserve, mostRepsWarned, type FormulaKind } from '@young-oak/core/maxes'
import type { Dependent } from '@young-oak/core/views'
import type { Load, Unit } from '@young-oak/core/units'

const maxFields = object({
  exercise: exercise().required('Choose a lift.'),
  variant: string().max(60).optional(),
  load: loadFrom('nothing').required(),
  help: mark(),
  reps: repsSchema
    .required('Enter the reps.')
    .min(1, 'At least one rep.')
    .max(mostRepsWarned, `An estimate takes at most ${mostRepsWarned} reps: use a heavier set.`),
  rir: number()
    .typeError('Enter the RIR as a number.')
    .integer('Reps are whole numbers.')
    .min(0, 'RIR cannot be less than 0.')
    .max(mostInReserve, `More than ${mostInReserve} RIR is not trusted: use a harder set.`)
    .optional(),
  formula: mixed<FormulaKind>((value): value is FormulaKind =>
    formulaKinds.includes(value as FormulaKind),
  ).required(),
  date: day().required(),
  /** Taken although it is lower than the max in force. */
  accepted: mark(),
})

type Fields = InferType<typeof maxFields>

/** What the parts of a max must be to each other, wherever it stands in what was sent. */
const partsFit = (value: unknown, { path, createError, options }: TestContext): true | ValidationError => {
  const given = value as Fields
  const at = (field: string) => (path ? `${path}.${field}` : field)
  if (!fitsBody(given, options.context))
    return createError({ path: at('load.value'), message: 'A load is more than 0.' })
  if (!given.rir || given.reps + given.rir <= mostRepsWarned) return true
  const message = `Reps and RIR are more than ${mostRepsWarned} together: use a heavier set.`
  return createError({ path: at('rir'), message })
}

export const maxSchema = maxFields
  .shape({ today: day().required() })
  .noUnknown()
  .test('partsFit', '', partsFit)
export type GivenMax = InferType<typeof maxSchema>

export type MaxesView = {
  unit: Unit
  /** In force, each with those that were before it, newest first. */
  maxes: (Lift & KnownMax & { staleWeeks?: number; before: KnownMax[]; usedBy: UsedBy[] })[]
  /** What training or a lower test suggests, until it is accepted. */
  proposals: ProposedMax[]
  /** Lifts that a current program needs a max of, and has none. */
  needed: Lift[]
  /** Body weight, which body-weight lifts have as a part of their load. */
  body: { load: Load; date: string } | null
}

export type ProposedMax = Lift & Omit<Proposal, 'lift'>

/** An accepted max, with the set that it was estimated from. */
export type KnownMax = {
  load: Load
  date: string
  from?: SetSeen & { formula?: FormulaKind }
}

/** What is worked out from a max, and in which program. */
export type UsedBy = Dependent & { program: string }

export const bodyWeightSchema = object({
  load: loadSchema.required(),
  date: day().required(),
  today: day().required(),
}).noUnknown()
export type GivenBodyWeight = InferType<typeof bodyWeightSchema>

/** The lifts that each of several of a writer's members has no max of. */
export const lackingSchema = object({
  rows: array()
    .of(
      object({
        member: string().uuid().required(),
        lifts: array()
          .of(
            object({ exercise: exercise().required('Choose a lift.'), variant: string().max(60).optional() })
              .noUnknown()
              .required(),
          )
          .min(1, 'Choose a lift.')
          .max(40)
          .required(),
      })
        .noUnknown()
        .required(),
    )
    .min(1, 'Choose members.')
    .max(2_000)
    .required(),
  today: day().required(),
}).noUnknown()
export type Lacking = InferType<typeof lackingSchema>

/** One of a writer's members with the maxes in force, and every max that is known. */
export type MaxTableLine = {
  id: string
  name: string
  maxes: (Lift & { load: Load; date: string; staleWeeks?: number })[]
  known: (KnownRow & Pick<MaxRow, 'rir' | 'formula'>)[]
}

/** Lines of a sheet that were read without a fault, some hundred at a time. */
export const maxRowsSchema = object({
  rows: array()
    .of(
      maxFields
        .shape({ member: string().uuid().required() })
        .noUnknown()
        .test('partsFit', '', partsFit)
        .required(),
    )
    .min(1)
    .max(500)
    .required(),
  today: day().required(),
}).noUnknown()
export type GivenRows = InferType<typeof maxRowsSchema>
export type RowsAnswer = { stored: number; known: number }
