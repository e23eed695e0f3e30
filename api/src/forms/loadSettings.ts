import { array, boolean, mixed, object, string, type InferType } from 'yup'
import { repTables, type RepTable } from '@young-oak/core/maxes'
import { deloadPolicies, missedPolicies, type DeloadPolicy, type Missed } from '@young-oak/core/template'
import { ways, type Way } from '@young-oak/core/units'
import { typed, typedWhole } from './typed.ts'

const oneOf = <T extends string>(choices: readonly T[]) =>
  mixed<T>()
    .oneOf([...choices])
    .required()

const weeks = 'Whole weeks, 1 to 104.'
const ratio = 'Each needs two lifts and a percentage above 0, at most 150.'

/** How a template makes loads of maxes, and what it does with weeks that were missed. */
export const loadSettingsSchema = object({
  use: oneOf(['newest', 'best'] as const),
  weeks: typedWhole(weeks, 1, 104).when('use', {
    is: 'best',
    then: (schema) => schema.required(weeks),
    otherwise: (schema) => schema.notRequired(),
  }),
  fresh: typedWhole(weeks, 1, 104).required(weeks),
  table: oneOf<RepTable>(repTables),
  /** Whether some load is of the training max, which is then needed. */
  needsTrainingMax: boolean().required(),
  trainingMax: typed('A percentage from 50 to 100, or nothing.')
    .min(50, 'A percentage from 50 to 100, or nothing.')
    .max(100, 'A percentage from 50 to 100, or nothing.')
    .when('needsTrainingMax', {
      is: true,
      then: (schema) => schema.required('Loads of this template are percentages of it.'),
    }),
  rounding: oneOf<Way>(ways),
  deloadRounding: oneOf<Way>(ways),
  testRounding: oneOf<Way>(ways),
  missed: oneOf<Missed>(missedPolicies),
  awayWeeks: typedWhole('Whole weeks, 1 to 52, or nothing.', 1, 52),
  awayBack: typedWhole('A whole percentage, 1 to 50.', 1, 50).when('awayWeeks', {
    is: (value: unknown) => value !== undefined,
    then: (schema) => schema.required('A whole percentage, 1 to 50.'),
  }),
  tempoX: typed('Seconds from 0.2 to 5.')
    .min(0.2, 'Seconds from 0.2 to 5.')
    .max(5, 'Seconds from 0.2 to 5.')
    .required('Seconds from 0.2 to 5.'),
  deloadPolicy: oneOf<DeloadPolicy>(deloadPolicies),
  warmUp: oneOf(['none', 'two', 'three', 'listed'] as const),
  listed: string().defined(),
  ratios: array()
    .of(
      object({
        exercise: string().required(ratio),
        variant: string().trim().max(60, ratio).defined(),
        percent: typed(ratio).required(ratio).moreThan(0, ratio).max(150, ratio),
        of: string().required(ratio),
        ofVariant: string().trim().max(60, ratio).defined(),
      }),
    )
    .required(),
})
export type LoadSettings = InferType<typeof loadSettingsSchema>
