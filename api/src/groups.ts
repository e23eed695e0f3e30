import { ruleSchema, type Condition } from './conditions.ts'
import { array, boolean, object, string } from 'yup'

/** A group is by hand where it has no rule; by a rule, whoever fits all of it on the day that it is asked is in it. */
export const groupSchema = object({
  name: string().trim().required('Enter a name.').max(60, 'A name has at most 60 characters.'),
  rule: ruleSchema().nullable().defined(),
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
