import { array, boolean, number, object, string } from 'yup'

/** What a rule may ask of a member, one kind each. */
export type Condition =
  | { kind: 'onProgram'; template: string }
  | { kind: 'onNoProgram' }
  | { kind: 'notTrainedFor'; days: number }
  | { kind: 'daysAWeek'; days: number }
export const conditionKinds: readonly Condition['kind'][] = [
  'onProgram',
  'onNoProgram',
  'notTrainedFor',
  'daysAWeek',
]

const days = {
  notTrainedFor: { most: 365, fault: 'Days are a whole number from 1 to 365.' },
  daysAWeek: { most: 7, fault: 'Days a week are a whole number from 1 to 7.' },
}

/** One condition; what its kind does not have is not taken. */
const conditionSchema = object({
  kind: string()
    .oneOf([...conditionKinds], 'A condition is none of those that there are.')
    .required('Choose a condition.'),
  template: string().when('kind', ([kind]: string[], field) =>
    kind === 'onProgram'
      ? field.uuid('Choose a program.').required('Choose a program.')
      : field.test('absent', 'This condition has no program.', (value) => value === undefined),
  ),
  days: number().when('kind', ([kind]: string[], field) => {
    if (kind !== 'notTrainedFor' && kind !== 'daysAWeek')
      return field.test('absent', 'This condition has no days.', (value) => value === undefined)
    const { most, fault } = days[kind]
    return field.typeError(fault).integer(fault).min(1, fault).max(most, fault).required(fault)
  }),
}).noUnknown()

/** A group is by hand where it has no rule; by a rule, whoever fits all of it on the day that it is asked is in it. */
export const groupSchema = object({
  name: string().trim().required('Enter a name.').max(60, 'A name has at most 60 characters.'),
  rule: array()
    .of(conditionSchema.required())
    .min(1, 'A rule has at least one condition.')
    .max(6, 'A rule has at most 6 conditions.')
    .nullable()
    .defined(),
}).noUnknown()
export type GivenGroup = { name: string; rule: Condition[] | null }

export type GroupLine = GivenGroup & { id: string }

/** Puts members into a group by hand, or takes them out. */
export const groupMembersSchema = object({
  members: array().of(string().uuid().required()).min(1, 'Choose members.').max(20_000).required(),
  isIn: boolean().required(),
}).noUnknown()

/** The asker's own members of a group, and how many others are in it. */
export type GroupMembers = { members: string[]; others: number }
