import { array, boolean, number, object, string, type AnyObject, type ArraySchema, type Schema } from 'yup'
import { liftLevels, trainingAges, type LiftLevel, type TrainingAge } from '@young-oak/core/facts'
import { muscles, type Muscle } from '@young-oak/core/library'
import { isId } from '@young-oak/core/parsing'
import { isDay, type Day } from '@young-oak/core/units'

/** What a condition may say, by the name of its field. */
type FieldValues = {
  template: string
  group: string
  days: number
  weeks: number
  minutes: number
  times: number
  lift: string
  exercise: string
  level: LiftLevel
  training: TrainingAge
  location: string
  muscle: Muscle
  day: Day
}
export type ConditionField = keyof FieldValues

/** Every kind of condition, and the fields that it has. */
export const conditionFields = {
  onProgram: ['template'],
  onNoProgram: [],
  paused: [],
  inGroup: ['group'],
  notTrainedFor: ['days'],
  weeksTrained: ['weeks'],
  daysAWeek: ['days'],
  daysAvailable: ['days'],
  minutesAtMost: ['minutes'],
  training: ['training'],
  level: ['lift', 'level'],
  hasMax: ['lift'],
  maxAtLeast: ['lift', 'times'],
  priority: ['muscle'],
  enjoys: ['exercise'],
  location: ['location'],
  joinedSince: ['day'],
} as const satisfies Record<string, readonly ConditionField[]>

type Fields = typeof conditionFields
export type ConditionKind = keyof Fields
export const conditionKinds = Object.keys(conditionFields) as ConditionKind[]

export type ConditionOf<K extends ConditionKind> = {
  [N in K]: { kind: N; not?: true } & { [F in Fields[N][number]]: FieldValues[F] }
}[K]
/** What a rule may ask of a member; with `not`, the opposite. */
export type Condition = ConditionOf<ConditionKind>

export const fieldsOf = (kind: ConditionKind): readonly ConditionField[] => conditionFields[kind]

const whole = (
  what: string,
  least: number,
  most: number,
  fault = `${what} are a whole number from ${least} to ${most}.`,
) => number().typeError(fault).integer(fault).min(least, fault).max(most, fault).required(fault)
const weekDays: readonly ConditionKind[] = ['daysAWeek', 'daysAvailable']

/** Each field as the kind asks for it. */
const schemas: { [F in ConditionField]: (kind: ConditionKind) => Schema } = {
  template: () => string().uuid('Choose a program.').required('Choose a program.'),
  group: () => string().uuid('Choose a group.').required('Choose a group.'),
  days: (kind) => (weekDays.includes(kind) ? whole('Days a week', 1, 7) : whole('Days', 1, 365)),
  weeks: () => whole('Weeks', 1, 1000),
  minutes: () => whole('Minutes', 10, 300),
  times: () => {
    const fault = 'Times body weight are a number from 0.1 to 5.'
    return number().typeError(fault).min(0.1, fault).max(5, fault).required(fault)
  },
  lift: () =>
    string()
      .max(200)
      .required('Choose a lift.')
      .test('lift', 'Choose a lift.', (value) => value.split('/').every((part) => isId(part))),
  exercise: () =>
    string()
      .max(80)
      .required('Choose an exercise.')
      .test('exercise', 'Choose an exercise.', (value) => isId(value)),
  level: () =>
    string()
      .oneOf([...liftLevels], 'Choose a level.')
      .required('Choose a level.'),
  training: () =>
    string()
      .oneOf([...trainingAges], 'Choose the years.')
      .required('Choose the years.'),
  location: () => string().max(80).required('Choose a location.'),
  muscle: () =>
    string()
      .oneOf([...muscles], 'Choose a muscle.')
      .required('Choose a muscle.'),
  day: () =>
    string()
      .required('Choose a day.')
      .test('day', 'This day does not exist.', (value) => isDay(value)),
}

/** Fields that are numbers. */
export const numberFields: readonly ConditionField[] = ['days', 'weeks', 'minutes', 'times']
const baseOf = (name: ConditionField): Schema => (numberFields.includes(name) ? number() : string())

/** One condition; what its kind does not have is not taken. */
const conditionSchema = object({
  kind: string().oneOf(conditionKinds, 'There is no such condition.').required('Choose a condition.'),
  not: boolean().oneOf([true], '"not" is true, or left out.').optional(),
  ...(Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => [
      name,
      // A kind has its own fields and no others.
      baseOf(name as ConditionField).when('kind', ([kind]: ConditionKind[], base) =>
        kind && conditionKinds.includes(kind) && fieldsOf(kind).includes(name as ConditionField)
          ? schema(kind)
          : base.test('absent', 'This condition has no such field.', (value) => value === undefined),
      ),
    ]),
  ) as Record<ConditionField, Schema>),
}).noUnknown()

/** Conditions that are all to be met. */
export const ruleSchema = () =>
  array()
    .of(conditionSchema.required())
    .min(1, 'A rule has at least one condition.')
    .max(6, 'A rule has at most 6 conditions.') as unknown as ArraySchema<Condition[] | undefined, AnyObject>
