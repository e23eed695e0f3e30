import { array, boolean, lazy, mixed, number, object, string, type InferType } from 'yup'

const kind = <const K extends string>(one: K) => string<K>().oneOf([one]).required()

/** What a rule may ask of a member, one kind each. */
const conditionSchemas = {
  onProgram: object({
    kind: kind('onProgram'),
    template: string().uuid('Choose a program.').required('Choose a program.'),
  }).noUnknown(),
  onNoProgram: object({ kind: kind('onNoProgram') }).noUnknown(),
  notTrainedFor: object({
    kind: kind('notTrainedFor'),
    days: number()
      .typeError(daysFault())
      .integer(daysFault())
      .min(1, daysFault())
      .max(365, daysFault())
      .required(daysFault()),
  }).noUnknown(),
  daysAWeek: object({
    kind: kind('daysAWeek'),
    days: number()
      .typeError(weekFault())
      .integer(weekFault())
      .min(1, weekFault())
      .max(7, weekFault())
      .required(weekFault()),
  }).noUnknown(),
}
function daysFault(): string {
  return 'Days are a whole number from 1 to 365.'
}
function weekFault(): string {
  return 'Days a week are a whole number from 1 to 7.'
}
export type Condition = {
  [K in keyof typeof conditionSchemas]: InferType<(typeof conditionSchemas)[K]>
}[keyof typeof conditionSchemas]
export const conditionKinds = Object.keys(conditionSchemas) as Condition['kind'][]

const isKind = (value: unknown): value is Condition['kind'] =>
  conditionKinds.includes(value as Condition['kind'])
const unknown = mixed<never>().test('kind', 'A condition is none of those that there are.', () => false)

const conditionSchema = lazy((value: unknown) => {
  const given = (value as { kind?: unknown } | null)?.kind
  return isKind(given) ? conditionSchemas[given] : unknown
})

/** A group is by hand where it has no rule; by a rule, whoever fits all of it on the day that it is asked is in it. */
export const groupSchema = object({
  name: string().trim().required('Enter a name.').max(60, 'A name has at most 60 characters.'),
  rule: array()
    .of(conditionSchema as never)
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
